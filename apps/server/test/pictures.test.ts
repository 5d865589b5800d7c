import type { ErrorBody, PictureView } from '@still-heron/contract';
import { PICTURE_BYTES } from '@still-heron/core';
import { deflateSync } from 'node:zlib';
import { startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

/** A grey PNG of the given size. */
function png(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const head = Buffer.alloc(4);
    head.writeUInt32BE(data.length);
    return Buffer.concat([head, body, Buffer.alloc(4)]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 0, 0, 0, 0], 8);
  const rows = deflateSync(Buffer.alloc((width + 1) * height, 90));
  const signature = Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]);
  return Buffer.concat([signature, chunk('IHDR', header), chunk('IDAT', rows), chunk('IEND', Buffer.alloc(0))]);
}

const svg = (inside: string, attributes = '') =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20" ${attributes}>\n${inside}\n</svg>`);
const send = (contents: Buffer, type = 'image/png') =>
  server.request.post('/api/pictures').set('Content-Type', type).send(contents);

test('a picture is kept once, and comes back as it was, where it can do nothing', async () => {
  const first = (await send(png(30, 20)).expect(201)).body as PictureView;
  expect(first).toMatchObject({ type: 'image/png', widthPx: 30, heightPx: 20 });
  const again = (await send(png(30, 20)).expect(201)).body as PictureView;
  expect(again.id).toBe(first.id);
  // also two at the same moment
  const both = await Promise.all([send(png(31, 20)), send(png(31, 20))]);
  expect(both.map(({ status }) => status)).toEqual([201, 201]);
  expect(new Set(both.map(({ body }) => (body as PictureView).id)).size).toBe(1);
  const shown = await server.request.get(`/api/pictures/${first.id}`).buffer(true).expect(200);
  expect(Buffer.compare(shown.body as Buffer, png(30, 20))).toBe(0);
  expect(shown.headers).toMatchObject({ 'content-type': 'image/png', 'x-content-type-options': 'nosniff' });
  expect(shown.headers['content-security-policy']).toContain("default-src 'none'");
  for (const id of [crypto.randomUUID(), 'x']) {
    const { body } = await server.request.get(`/api/pictures/${id}`).expect(404);
    expect(body).toMatchObject({ code: 'not-found', message: 'there is no such picture' });
  }
});

test('a drawing of shapes is taken, with a picture or a link within itself too', async () => {
  const plain = svg('<style>.a { fill: url(#b) }</style><rect id="b" class="a" width="9" height="9"/><use href="#b"/>');
  expect((await send(plain, 'image/svg+xml').expect(201)).body).toMatchObject({
    type: 'image/svg+xml',
    widthPx: 40,
    heightPx: 20,
  });
  // the type comes from the contents
  expect((await send(png(8, 8), 'image/jpeg').expect(201)).body).toMatchObject({ type: 'image/png' });
});

test.each([
  ['<script>alert(1)</script>', '<script> on line 2'],
  ['<g>\n<rect onclick="x()" width="3"/></g>', 'the handler onclick on line 3'],
  ['<foreignObject/>', '<foreignObject> on line 2'],
  ['<image href="http://elsewhere.example/a.png"/>', 'an external link in <image> on line 2'],
  ['<a xlink:href="javascript:x()"><rect/></a>', 'an external link in <a> on line 2'],
  ['<style>@import "http://elsewhere.example/a.css";</style>', 'an external style on line 2'],
  ['<rect style="fill: url(http://elsewhere.example/)"/>', 'an external style on line 2'],
  ['<rect><set attributeName="href" to="x"/></rect>', '<set> on line 2'],
  ['<rect', 'an error: '],
])('an SVG with more than shapes is refused, and says what and where: %s', async (inside, what) => {
  const { body } = await send(svg(inside), 'image/svg+xml').expect(400);
  expect(body).toMatchObject({ code: 'svg-not-plain', path: 'picture', need: expect.stringContaining('PNG') });
  expect((body as ErrorBody).message).toContain(what);
});

test('entities, a huge picture, nonsense and no picture at all are refused in words', async () => {
  const bomb = Buffer.from(
    '<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 2"/>',
  );
  expect((await send(bomb, 'image/svg+xml').expect(400)).body).toMatchObject({ code: 'svg-not-plain' });
  const huge = await send(Buffer.alloc(PICTURE_BYTES + 1)).expect(413);
  expect(huge.body).toMatchObject({ code: 'too-large', need: expect.stringContaining('a picture of at most 12mb') });
  expect((await send(Buffer.from('not a picture')).expect(400)).body).toMatchObject({ code: 'not-a-picture' });
  expect((await send(png(20_001, 1)).expect(400)).body).toMatchObject({ code: 'wrong-size' });
  const asText = await server.request.post('/api/pictures').set('Content-Type', 'text/plain').send('x').expect(415);
  expect(asText.body).toMatchObject({ code: 'not-a-picture' });
  expect((await server.request.post('/api/pictures').expect(415)).body).toMatchObject({ code: 'not-a-picture' });
});
