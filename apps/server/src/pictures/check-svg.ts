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
 * @returns its name and line; null if there is none
 */
export function svgDoubt(text: string): string | null {
  const parser = new SaxesParser({ xmlns: false });
  let doubt: string | null = null;
  const say = (what: string) => (doubt ??= `${what} on line ${parser.line}`);
  parser.on('doctype', (type) => {
    if (/<!entity/i.test(type)) say('entities of its own');
  });
  parser.on('processinginstruction', ({ target }) => {
    if (target.toLowerCase() === 'xml-stylesheet') say('a style sheet from elsewhere');
  });
  parser.on('opentag', ({ name, attributes }) => {
    const local = name.toLowerCase().replace(/^.*:/, '');
    if (REFUSED.has(local)) say(`a <${name}>`);
    for (const [key, value] of Object.entries(attributes)) {
      const attribute = key.toLowerCase();
      if (attribute.startsWith('on')) say(`the handler ${key}`);
      else if (LINKS.has(attribute) && !OWN_LINK.test(value)) say(`a link to elsewhere in <${name}>`);
      else if (OUTSIDE_IN_STYLE.test(value)) say(`a style from elsewhere in <${name}>`);
    }
  });
  parser.on('text', (content) => {
    if (OUTSIDE_IN_STYLE.test(content)) say('a style from elsewhere');
  });
  parser.on('cdata', (content) => {
    if (OUTSIDE_IN_STYLE.test(content)) say('a style from elsewhere');
  });
  try {
    parser.write(text).close();
  } catch (error) {
    return `something that is not well formed: ${(error as Error).message}`;
  }
  return doubt;
}
