// Histogram of a picture: three channels over one another, on a square-root scale so that small
// counts are seen.

const COLOURS = { red: "#b8433788", green: "#3c8a5088", blue: "#3a67a888" };

/** Shows the tones of a picture, and what of it clips. */
export function showTones(find, head) {
  drawHistogram(find("histogram"), head);
  find("clipped").textContent = clipped(head);
}

function drawHistogram(canvas, head) {
  const context = canvas.getContext("2d");
  const { width, height } = canvas;
  context.clearRect(0, 0, width, height);
  const channels = Object.keys(COLOURS);
  const top = Math.max(1, ...channels.flatMap((c) => head[c].slice(1, 255)));
  context.globalCompositeOperation = "multiply";
  for (const channel of channels) {
    context.fillStyle = COLOURS[channel];
    context.beginPath();
    context.moveTo(0, height);
    head[channel].forEach((n, tone) => {
      context.lineTo((tone / 255) * width, height - Math.sqrt(Math.min(1, n / top)) * height * 0.96);
    });
    context.lineTo(width, height);
    context.fill();
  }
  context.globalCompositeOperation = "source-over";
}

const percent = (share) => `${(share * 100).toFixed(share > 0 && share < 0.0995 ? 1 : 0)} %`;

/** Shares of all pixels that are blown and blocked, in words. */
const clipped = (head) => `of the picture ${percent(head.blown)} blown, ${percent(head.blocked)} blocked`;
