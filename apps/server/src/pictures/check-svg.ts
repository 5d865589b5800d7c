import type { SvgDanger } from '@still-heron/wording';
import { SaxesParser } from 'saxes';

/** Elements that run code or load content from elsewhere. */
const REFUSED = new Set([
  'script',
  'foreignobject',
  'iframe',
  'object',
  'embed',
  'audio',
  'video',
  'handler',
  'listener',
  'animate',
  'set',
]);
const LINKS = new Set(['href', 'xlink:href', 'src']);
/** Allowed links: a part of the same drawing, or an embedded picture. */
const OWN_LINK = /^\s*(#|data:image\/(png|jpeg);)/i;
const OUTSIDE_IN_STYLE = /@import|url\(\s*['"]?(?!#|['"]?data:image\/(png|jpeg);)/i;

/**
 * Finds the first unsafe part of an SVG: scripts, event handlers, external links, entities.
 *
 * @returns null if there is none
 */
export function svgDanger(text: string): SvgDanger | null {
  const parser = new SaxesParser({ xmlns: false });
  let first: SvgDanger | null = null;
  const found = (danger: SvgDanger) => (first ??= danger);
  const line = () => ({ line: parser.line });
  const checkStyle = (content: string) => {
    if (OUTSIDE_IN_STYLE.test(content)) found({ kind: 'style', ...line() });
  };
  parser.on('doctype', (type) => {
    if (/<!entity/i.test(type)) found({ kind: 'entity', ...line() });
  });
  parser.on('processinginstruction', ({ target }) => {
    if (target.toLowerCase() === 'xml-stylesheet') found({ kind: 'style-sheet', ...line() });
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (REFUSED.has(name.toLowerCase().replace(/^.*:/, ''))) found({ kind: 'element', name, ...line() });
    for (const [key, value] of Object.entries(attributes)) {
      const attribute = key.toLowerCase();
      if (attribute.startsWith('on')) found({ kind: 'handler', name: key, ...line() });
      else if (LINKS.has(attribute) && !OWN_LINK.test(value)) found({ kind: 'link', name, ...line() });
      else checkStyle(value);
    }
  });
  parser.on('text', checkStyle);
  parser.on('cdata', checkStyle);
  try {
    parser.write(text).close();
  } catch (error) {
    return { kind: 'malformed', reason: (error as Error).message };
  }
  return first;
}
