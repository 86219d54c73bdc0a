/** Walks that cost each step the same: lists of the document's own look through all of themselves for each entry. */

/** The elements of a drawing, the outermost first. */
export function* elementsIn(root: Element): Generator<Element> {
  let element: Element | null = root;
  while (element) {
    yield element;
    let next: Element | null = element.firstElementChild;
    for (let up: Element | null = element; !next && up && up !== root; up = up.parentElement)
      next = up.nextElementSibling;
    element = next;
  }
}

export function* attributesOf(element: Element): Generator<readonly [name: string, value: string]> {
  for (const name of element.getAttributeNames()) yield [name, element.getAttribute(name) ?? ''];
}

export const withoutPrefix = (name: string): string => name.slice(name.indexOf(':') + 1);
