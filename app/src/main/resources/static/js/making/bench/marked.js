// The region of the photo that the page was opened to look at, shown as a mask until a veil is opened.

export class Marked {
  constructor(search = location.search) {
    this.region = new URLSearchParams(search).get("region") ?? "";
  }

  /** What is to be hatched: the mask of the open veil, else the region, else nothing. */
  body(request, openId, effect) {
    if (openId) return { ...request, effect, mask: openId };
    return this.region ? { ...request, region: this.region } : null;
  }

  /** Shows it once the page begins. */
  begin(stage) {
    if (!this.region) return;
    stage.maskButton(true);
    stage.masked.toggle();
  }

  /** Whether there is something to show while no veil is open. */
  has(openId) {
    return this.region !== "" && !openId;
  }
}
