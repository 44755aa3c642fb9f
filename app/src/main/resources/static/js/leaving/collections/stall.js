// What of a collection is out at the stall: under which code, how often it was fetched; put out and withdrawn.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { quietButton } from "../../base/web/button.js";
import { say, sayFault } from "../../base/web/say.js";

/** How often a version was fetched, the made-up part told apart. */
export const fetchedWords = ({ fetched, simulated }) =>
  `fetched ${fetched} here, ${simulated} by the simulated clientele`;

export function listenStall(root, collection) {
  const find = (name) => root.querySelector(`[data-${name}]`);

  async function turn(version) {
    const { said } = await send("POST", `/api/stall/versions/${version.id}/${version.out ? "withdraw" : "put-out"}`);
    say(said);
    await look();
  }

  function line(version) {
    const words = [version.price, version.out ? fetchedWords(version) : "withdrawn"].filter(Boolean).join(" · ");
    const button = quietButton(version.out ? "Withdraw" : "Put out again", () => turn(version).catch(sayFault));
    button.setAttribute("aria-label", `${button.textContent} ${version.version}`);
    return element(
      "li",
      {},
      element("b", { textContent: version.version }),
      element("span", { textContent: words }),
      button,
    );
  }

  function show({ code, page, versions = [] }) {
    const told = code
      ? [
          "Under ",
          element("a", { href: page, className: "stall-code", textContent: code }),
          ". Who has an older version is told what changes.",
        ]
      : ["Put a packed release out under a code; who has an older one is told what changes."];
    find("stall-said").replaceChildren(...told);
    find("stall-versions").replaceChildren(...versions.map(line));
  }

  const look = async () => show(await send("GET", `/api/stall/of/${collection}`));

  find("put-out")?.addEventListener("submit", async (event) => {
    event.preventDefault();
    const { release, price } = event.target.elements;
    try {
      const answer = await send("POST", "/api/stall", { release: Number(release.value), price: price.value });
      show(answer);
      say(answer.said);
    } catch (error) {
      sayFault(error);
    }
  });
  look().catch(sayFault);
}
