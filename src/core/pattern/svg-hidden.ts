/** `gone`: neither it nor what is in it is drawn; `unseen` and `seen` hold for what is in it until said otherwise. */
export type Sight = 'gone' | 'unseen' | 'seen' | undefined;

const sightOf = (display: string | undefined, visibility: string | undefined): Sight => {
  if (display === 'none') return 'gone';
  if (visibility === 'hidden' || visibility === 'collapse') return 'unseen';
  return visibility === 'visible' ? 'seen' : undefined;
};
const said = (style: string, property: string) =>
  new RegExp(`(?:^|;)\\s*${property}\\s*:\\s*([\\w-]+)`, 'i').exec(style)?.[1]?.toLowerCase();
const sightIn = (style: string) => sightOf(said(style, 'display'), said(style, 'visibility'));

/**
 * Which elements of an SVG are not to be seen, by its style sheets (rules for a name, a class, an id, or a name with a
 * class), its style attributes and its attributes; drawing programs hide a layer in each of these ways.
 */
export function hiddenBy(
  sheet: string,
): (name: string, attributes: Readonly<Record<string, string>>) => Sight {
  const rules = [...sheet.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(/([^{}]+)\{([^}]*)\}/g)].flatMap(
    ([, selectors, body]) => {
      const sight = sightIn(body!);
      return sight ? selectors!.split(',').map((s) => ({ selector: s.trim(), sight })) : [];
    },
  );
  const meets = (selector: string, name: string, a: Readonly<Record<string, string>>) => {
    const found = /^([\w-]*|\*)(?:([.#])([\w-]+))?$/.exec(selector);
    if (!found) return false;
    const [, tag, kind, word] = found;
    const own = kind === '#' ? [a.id] : (a.class ?? '').split(/\s+/);
    return (!tag || tag === '*' || tag === name) && (!kind || own.includes(word!));
  };
  return (name, a) =>
    sightIn(a.style ?? '') ??
    rules.findLast((r) => meets(r.selector, name, a))?.sight ??
    sightOf(a.display, a.visibility);
}
