import { attributesOf, elementsIn, withoutPrefix } from './elements';

/** Attributes that bring in another part of the drawing. */
const BROUGHT_IN = /url\(\s*['"]?#([^'")]+)/g;
/** A drawing whose parts use each other without end. */
const ENDLESS = Number.POSITIVE_INFINITY;

/**
 * How many elements are drawn, counting a part as often as it is used: by `use`, and as a pattern, mask, marker
 * or filter. Infinite for parts that use each other in a circle.
 */
export function drawnElements(root: Element): number {
  const byId = new Map<string, Element>();
  for (const element of elementsIn(root)) {
    const id = element.getAttribute('id');
    if (id && !byId.has(id)) byId.set(id, element);
  }
  const counted = new Map<Element, number>();
  const open = new Set<Element>();

  const referred = (element: Element): Element[] => {
    const ids: string[] = [];
    for (const [name, value] of attributesOf(element)) {
      if (withoutPrefix(name) === 'href' && value.trim().startsWith('#')) ids.push(value.trim().slice(1));
      else if (value.includes('url(')) for (const [, id] of value.matchAll(BROUGHT_IN)) ids.push(id!);
    }
    return ids.flatMap((id) => byId.get(id) ?? []);
  };

  const count = (element: Element): number => {
    const known = counted.get(element);
    if (known !== undefined) return known;
    if (open.has(element)) return ENDLESS;
    open.add(element);
    let total = 1;
    // A list of children looks through all of them for each: of many beside each other that would take the square.
    for (let child = element.firstElementChild; child; child = child.nextElementSibling)
      total += count(child);
    for (const part of referred(element)) total += count(part);
    open.delete(element);
    counted.set(element, total);
    return total;
  };
  return count(root);
}
