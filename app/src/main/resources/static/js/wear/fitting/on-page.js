// What the page says of the photo that is worn, when another one comes in its place.

const RESTS_MS = 400;

let resting;

const pictures = () => document.querySelectorAll("[data-small]");

/** @param address of the page with the fitting of that photo */
export function onPage(photo, address) {
  leaveOffers();
  history.replaceState(null, "", address);
  document.querySelector("h1").textContent =
    `${document.querySelector("[data-go]").selectedOptions[0].dataset.title} on ${photo.name}`;
  document.querySelector(".photo-name").textContent = photo.name;
  for (const option of document.querySelector("[data-go]").options)
    option.value = option.value.replace(/&photo=\d+/, `&photo=${photo.id}`);
}

/**
 * Lets the small pictures of effects be of that photo, once the hand rests: they are made after the large
 * one, and never stand in the way of the next photo's.
 */
export function offeredOn(photo) {
  clearTimeout(resting);
  resting = setTimeout(() => {
    for (const picture of pictures()) {
      const address = picture.dataset.small.replace("{photo}", photo.id);
      if (picture.getAttribute("src") !== address) picture.src = address;
    }
  }, RESTS_MS);
}

function leaveOffers() {
  clearTimeout(resting);
  for (const picture of pictures()) if (!picture.complete) picture.removeAttribute("src");
}
