import type { Page } from '@playwright/test';
import { expect, test } from './heron';

/** Properties that a stylesheet sets, and that do not depend on the width of a text. */
const PROPERTIES = [
  ...['display', 'position', 'color', 'backgroundColor', 'fontFamily', 'fontSize', 'fontWeight', 'textAlign', 'opacity'],
  ...['paddingTop', 'paddingLeft', 'marginTop', 'marginBottom', 'borderTopWidth', 'borderBottomColor', 'columnGap'],
  ...['fill', 'stroke', 'cursor', 'overflowX', 'flexGrow', 'textOverflow', 'textDecorationLine', 'lineHeight', 'boxSizing'],
];

/** Computed styles of all elements of the page, one line each. */
function stylesOf(page: Page): Promise<string> {
  return page.evaluate((properties) => {
    const lines: string[] = [];
    const read = (element: Element, path: string) => {
      const style = getComputedStyle(element) as unknown as Record<string, string>;
      lines.push(`${path} ${properties.map((property) => style[property]).join(' | ')}`);
      [...element.children].forEach((child, index) => read(child, `${path}>${child.tagName.toLowerCase()}${index}`));
    };
    read(document.getElementById('root')!, 'root');
    return lines.join('\n');
  }, PROPERTIES);
}

test('every page looks the same opened directly and reached from another', async ({ heron, page, context }) => {
  const [production] = await heron.api<{ id: string }[]>('get', 'productions');
  const shots = await heron.shots(production!.id);
  const shot = (slate: string) => `/shots/${shots.find((one) => one.slate === slate)!.id}`;
  const routes = [
    '/productions',
    `/productions/${production!.id}/shots`,
    `/productions/${production!.id}/takes`,
    `${shot('4B')}/setup`,
    `${shot('12A')}/floor`,
    `${shot('4B')}/pull`,
    `${shot('9C')}/stop`,
    `${shot('4B')}/roll`,
    `${shot('4B')}/takes`,
    '/kit/lenses',
    '/kit/cameras',
    '/kit/wheels',
    '/kit/rigs',
    '/kit/calculator',
  ];
  // this page has been everywhere before it is compared
  await heron.open('/productions');
  for (const route of routes) {
    await heron.goTo(route);
    await page.waitForLoadState('networkidle');
  }
  for (const route of routes) {
    const direct = await context.newPage();
    await direct.goto(heron.server.address + route);
    await direct.mouse.move(0, 0);
    await heron.goTo(route);
    await direct.waitForLoadState('networkidle');
    await expect
      .poll(
        async () => {
          const [reached, opened] = await Promise.all([stylesOf(page), stylesOf(direct)]);
          const [a, b] = [reached.split('\n'), opened.split('\n')];
          return a.length < 20
            ? 'nothing yet'
            : a.flatMap((line, index) => (line === b[index] ? [] : [`${line}\n${b[index]}`]))[0];
        },
        { message: route, timeout: 60_000 },
      )
      .toBeUndefined();
    await direct.close();
  }
});
