// Talks to the application: JSON in and out, faults as sentences.

export class Refused extends Error {
  constructor(sentence, status) {
    super(sentence);
    this.status = status;
  }
}

const LOST = "The application does not answer. What was saved before is safe; start it again and reload.";

export const csrf = () => document.querySelector('meta[name="csrf"]').content;

async function ask(method, address, body) {
  const headers = { "X-CSRF-TOKEN": csrf() };
  if (body !== undefined) headers["Content-Type"] = "application/json";
  let answer;
  try {
    answer = await fetch(address, {
      method,
      headers,
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    throw new Refused(LOST, 0);
  }
  if (!answer.ok) throw new Refused(await sentence(answer), answer.status);
  return answer;
}

async function sentence(answer) {
  try {
    return (await answer.json()).sentence ?? `The application answered ${answer.status}.`;
  } catch {
    return `The application answered ${answer.status}. Reload the page and try again.`;
  }
}

/** Sends and gives the answer's JSON. */
export async function send(method, address, body) {
  return (await ask(method, address, body)).json();
}

/** Sends and gives the answer's bytes, or null where a newer request took this one's place. */
export async function fetchBytes(address, body) {
  const answer = await ask("POST", address, body);
  return answer.status === 204 ? null : answer.arrayBuffer();
}

/** Uploads one file; onShare is told the share that is on its way, 0…1. */
export function upload(address, file, onShare) {
  return new Promise((resolve, reject) => {
    const form = new FormData();
    form.append("file", file);
    const request = new XMLHttpRequest();
    request.open("POST", address);
    request.setRequestHeader("X-CSRF-TOKEN", csrf());
    request.responseType = "json";
    request.upload.addEventListener("progress", (e) => onShare(e.loaded / Math.max(1, e.total)));
    request.addEventListener("load", () => {
      if (request.status < 300) resolve(request.response);
      else reject(new Refused(request.response?.sentence ?? `“${file.name}” was not taken.`, request.status));
    });
    request.addEventListener("error", () => reject(new Refused(LOST, 0)));
    request.send(form);
  });
}
