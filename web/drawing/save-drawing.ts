import type { LineScope } from '../../core/scope/scope.js';
import { save } from '../files/save';
import type { LineView } from '../../core/views/line-view.js';

/** Properties a drawing inherits from the page, to be copied into it when it is saved. */
const carried = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** The current drawing with its colors and fonts written into it, so that it looks the same anywhere. */
export function svgText(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const originals = [drawing, ...drawing.querySelectorAll<SVGElement>('*')];
  const copies = [copy, ...copy.querySelectorAll<SVGElement>('*')];
  originals.forEach((original, i) => {
    const target = copies[i];
    if (!target || target.tagName === 'title') return;
    const style = getComputedStyle(original);
    for (const property of carried) {
      const value = style.getPropertyValue(property);
      if (value) target.setAttribute(property, value.replaceAll('"', "'"));
    }
    for (const name of ['class', 'style', 'tabindex', 'data-rove', 'role']) target.removeAttribute(name);
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  paper.setAttribute('width', '100%');
  paper.setAttribute('height', '100%');
  paper.setAttribute('fill', getComputedStyle(document.body).backgroundColor);
  copy.prepend(paper);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}`;
}

export function saveSvg(drawing: SVGSVGElement, name: string): void {
  save(new Blob([svgText(drawing)], { type: 'image/svg+xml' }), `${name}.svg`);
}

/** The long section to scale for a CAD program; the code that writes it is loaded on first use. */
export async function saveDxf(line: LineView, scope: LineScope, name: string): Promise<void> {
  const { dxfText } = await import('./dxf');
  save(new Blob([dxfText(line, scope)], { type: 'application/dxf' }), `${name}.dxf`);
}
