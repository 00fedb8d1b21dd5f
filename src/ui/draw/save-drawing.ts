/** Fonts a drawing uses, as the page knows them; a file outside the page must carry them. */
const FAMILY = 'Atkinson Hyperlegible Next Variable';

/** A drawing on the page as the text of an SVG file: its colours as they are seen now, its font within. */
export async function svgText(name: string): Promise<string | null> {
  const svg = document.querySelector<SVGSVGElement>(`[data-drawing="${name}"]`);
  if (!svg) return null;
  const style = getComputedStyle(document.documentElement);
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.removeAttribute('class');
  copy.setAttribute('font-family', `'${FAMILY}', sans-serif`);
  const font = await fontFace();
  if (font) {
    const face = document.createElementNS('http://www.w3.org/2000/svg', 'style');
    face.textContent = font;
    copy.prepend(face);
  }
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[\w-]+)\)/g, (_, v: string) => style.getPropertyValue(v).trim() || '#000');
}

/** The page's own font face for Latin letters, its file written into the rule; null when it cannot be had. */
async function fontFace(): Promise<string | null> {
  for (const sheet of document.styleSheets)
    for (const rule of sheet.cssRules)
      if (rule.cssText.startsWith('@font-face') && rule.cssText.includes(FAMILY) && isLatin(rule)) {
        const url = /url\("?([^")]+)"?\)/.exec(rule.cssText)?.[1];
        if (!url) continue;
        const file = await fetch(new URL(url, sheet.href ?? location.href)).then((r) => r.blob());
        const data = await dataUrl(file);
        return `@font-face{font-family:'${FAMILY}';font-weight:200 800;src:url(${data}) format('woff2')}`;
      }
  return null;
}

const isLatin = (rule: CSSRule) =>
  rule.cssText.includes('U+0-FF') || /U\+0{1,4}-0{0,2}FF/i.test(rule.cssText);

const dataUrl = (file: Blob) =>
  new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error('The font could not be read.'));
    reader.readAsDataURL(file);
  });

/** An SVG as a PNG so many px wide. */
export async function pngOf(svg: string, width: number, height: number): Promise<Blob> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [width, height];
    canvas.getContext('2d')!.drawImage(image, 0, 0, width, height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob((b) => (b ? resolve(b) : reject(new Error('No picture came of it.'))), 'image/png'),
    );
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Hands a file to the browser under a name made of plain letters. */
export function saveFile(blob: Blob, name: string, ending: string): void {
  const url = URL.createObjectURL(blob);
  const a = document.createElement('a');
  a.href = url;
  a.download = `${name.replace(/[^\w-]+/g, '-').toLowerCase()}.${ending}`;
  a.click();
  // The browser reads it after the click has been handled.
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}
