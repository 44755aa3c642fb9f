// What the page says of the photo that is worn, when another one comes in its place.

/** @param address of the page with the fitting of that photo */
export function onPage(photo, address) {
  history.replaceState(null, "", address);
  document.querySelector("h1").textContent = `${document.querySelector("[data-go]").selectedOptions[0].text} on ${photo.name}`;
  document.querySelector(".photo-name").textContent = photo.name;
  for (const option of document.querySelector("[data-go]").options) option.value = option.value.replace(/&photo=\d+/, `&photo=${photo.id}`);
}

/** Lets the small pictures of effects be of that photo: they are made after the large one. */
export function offeredOn(photo) {
  for (const picture of document.querySelectorAll("[data-small]")) {
    const address = picture.dataset.small.replace("{photo}", photo.id);
    if (picture.getAttribute("src") !== address) picture.src = address;
  }
}
