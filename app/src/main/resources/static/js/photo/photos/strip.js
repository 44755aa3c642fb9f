// A strip of photos to choose from; pictures load as they come into sight.

/**
 * Fills a strip from its list.
 * @param strip element whose data-photos holds [[id, name, width, height] …]
 * @returns [{ id, name, width, height, button } …]
 */
export function filled(strip) {
  const photos = JSON.parse(strip.dataset.photos).map(([id, name, width, height]) => {
    const button = Object.assign(document.createElement("button"), { type: "button", title: name });
    button.dataset.photo = id;
    button.setAttribute("aria-label", name);
    button.append(Object.assign(new Image(), { loading: "lazy", alt: "", src: `/photos/${id}/small` }));
    return { id, name, width, height, button };
  });
  strip.replaceChildren(...photos.map((p) => p.button));
  return photos;
}
