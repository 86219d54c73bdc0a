import { deflateSync } from 'node:zlib';
import { freshShot } from '@humble/core';
import request from 'supertest';
import { startTestServer, type TestServer } from './testing/testServer';

let at: TestServer;

beforeEach(async () => {
  at = await startTestServer();
});

afterEach(() => at.close());

const CRC = Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name), data]);
  let crc = 0xffffffff;
  for (const byte of body) crc = CRC[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  const size = Buffer.alloc(4);
  size.writeUInt32BE(data.length);
  const sum = Buffer.alloc(4);
  sum.writeUInt32BE((crc ^ 0xffffffff) >>> 0);
  return Buffer.concat([size, body, sum]);
}

/** A real PNG of one tone; with other chunks before its picture. */
function png(width: number, height: number, ...before: Buffer[]): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 0, 0, 0, 0], 8);
  const rows = deflateSync(Buffer.alloc((width + 1) * height), { level: 9 });
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    signature,
    chunk('IHDR', head),
    ...before,
    chunk('IDAT', rows),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** Three by two pixels each, as a browser writes them. */
const JPEG =
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDAFA3PEY8MlBGQUZaVVBfeMiCeG5uePWvuZHI//////////////////////' +
  '//////////////////////////////2wBDAVVaWnhpeOuCguv/////////////////////////////////////////' +
  '////////////////////////////////wAARCAACAAMDASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAT/xA' +
  'AUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFAEBAAAAAAAAAAAAAAAAAAAAAP/EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAM' +
  'AwEAAhEDEQA/AIgAf//Z';
const WEBP =
  'UklGRkYAAABXRUJQVlA4WAoAAAAQAAAAAgAAAQAAQUxQSAcAAAAAAAAAAAAAAFZQOCAYAAAAMAEAnQEqAwACAAdAli' +
  'WkAANwAP7vuQAA';

const send = (bytes: Buffer | string, type = 'image/png') =>
  request(at.server)
    .post('/api/pictures')
    .set('content-type', type)
    .set('x-file-name', encodeURIComponent('Kai über.png'))
    .send(bytes as string);

const svg = (inside: string, attributes = 'width="40" height="30"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${inside}</svg>`;

const kept = async (): Promise<number> => at.database.pictures.count();

test('a picture is kept once, by its contents, and comes back as it went in', async () => {
  const bytes = png(30, 20);
  const { body } = await send(bytes).expect(201);
  expect(body).toMatchObject({ type: 'image/png', width: 30, height: 20, name: 'Kai über.png' });
  expect((await send(bytes).expect(201)).body.sha256).toBe(body.sha256);
  expect(await kept()).toBe(1);
  const back = await request(at.server).get(`/api/pictures/${body.sha256}`).expect(200);
  expect(back.body.equals(bytes)).toBe(true);
  expect(back.headers['content-type']).toBe('image/png');
  expect(back.headers['cache-control']).toMatch('immutable');
});

test('pictures and saves that come at the same time are all kept', async () => {
  const shot = freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 });
  const { id } = (await request(at.server).post('/api/shots').send({ shot }).expect(201)).body;
  const save = async (): Promise<void> => {
    for (let revision = 1; revision <= 12; revision++)
      await request(at.server).put(`/api/shots/${id}`).send({ revision, shot }).expect(200);
  };
  const pictures = Array.from({ length: 12 }, (_, i) => send(png(10 + (i % 8), 10)).expect(201));
  await Promise.all([save(), ...pictures]);
  expect(await kept()).toBe(8);
});

test.each([
  ['image/jpeg', JPEG],
  ['image/webp', WEBP],
])('a picture of type %s is known by its bytes, and refused when it breaks off', async (type, base64) => {
  const bytes = Buffer.from(base64, 'base64');
  const { body } = await send(bytes, 'application/octet-stream').expect(201);
  expect(body).toMatchObject({ type, width: 3, height: 2 });
  const torn = await send(bytes.subarray(0, bytes.length - 20)).expect(422);
  expect(torn.body.detail).toMatch(/breaks off|damaged/);
  expect(await kept()).toBe(1);
});

test('what a file says it is does not count, what it is does', async () => {
  const { body } = await send(png(4, 4), 'text/html').expect(201);
  expect(body.type).toBe('image/png');
  const other = await send(Buffer.from('<html><script>1</script></html>'), 'image/png').expect(422);
  expect(other.body.detail).toBe('This is no PNG, JPEG, WebP or SVG.');
  expect((await send(Buffer.from([0, 1, 2, 3])).expect(422)).body.detail).toMatch('no PNG');
});

test('a picture of 60 megapixels gets a sentence and is not kept', async () => {
  const { body } = await send(png(10_000, 6_000)).expect(422);
  expect(body.detail).toBe('This picture has 60 megapixels; 40 are the most. Save it smaller.');
  expect(await kept()).toBe(0);
});

/** A shot with a picture as its backdrop. */
const shotWith = (picture: object): object => ({
  ...freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 }),
  backdrop: {
    pictures: [picture],
    framesEach: 1,
    x: 400,
    y: 300,
    width: 800,
    turnDeg: 0,
    strength: 1,
    hidden: false,
    locked: false,
  },
});

describe('what is accepted can be used', () => {
  test.each([
    ['a huge width', svg('', 'width="70000" height="500"')],
    ['a tiny view box', svg('', 'viewBox="0 0 0.5 0.5"')],
    ['a huge square', svg('', 'width="60000" height="60000"')],
    ['millimetres', svg('', 'width="210mm" height="297mm"')],
  ])('an SVG with %s', async (_, text) => {
    const { body } = await send(text, 'image/svg+xml').expect(201);
    const { note: _note, ...picture } = body;
    await request(at.server)
      .post('/api/shots')
      .send({ shot: shotWith(picture) })
      .expect(201);
  });

  test('a side that no shot could hold is refused at once', async () => {
    const { body } = await send(png(100_000, 400)).expect(422);
    expect(body.detail).toBe('This picture is 100000 × 400 pixels; a side may have 65,535. Save it smaller.');
    await send(svg('', 'width="1e9" height="1"'), 'image/svg+xml').expect(422);
    await send(svg('', 'width="1e999" height="1e999"'), 'image/svg+xml').expect(422);
    expect(await kept()).toBe(0);
  });
});

describe('only whole pictures are kept', () => {
  const whole = png(200, 100);
  const cut = (bytes: Buffer, from: number, until: number): Buffer =>
    Buffer.concat([bytes.subarray(0, from), bytes.subarray(until)]);
  const jpeg = Buffer.from(JPEG, 'base64');
  const scan = jpeg.indexOf(Buffer.from([0xff, 0xda]));

  test.each<[string, Buffer]>([
    ['a PNG of its first eight bytes alone', whole.subarray(0, 8)],
    ['a PNG that breaks off in its head', whole.subarray(0, 24)],
    ['a PNG that breaks off after its head', whole.subarray(0, 40)],
    ['a PNG that breaks off in its pixels', whole.subarray(0, whole.length - 20)],
    ['a PNG without pixels', cut(whole, 33, whole.length - 12)],
    ['a PNG that was cut and closed again', cut(whole, whole.length - 40, whole.length - 12)],
    ['a PNG of 0 × 0', png(0, 0)],
    ['a JPEG cut before its scan', Buffer.concat([jpeg.subarray(0, scan), Buffer.from([0xff, 0xd9])])],
    ['a JPEG without its end', jpeg.subarray(0, jpeg.length - 12)],
    [
      'a JPEG of a head alone',
      Buffer.from('ffd8ffe000104a46494600010100000100010000ffc0000b080010001001011100', 'hex'),
    ],
    [
      'a WebP of no size',
      Buffer.from('UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==', 'base64').fill(0, 21),
    ],
  ])('%s is refused', async (_, bytes) => {
    const { body } = await send(bytes, 'image/png').expect(422);
    expect(body.detail).toMatch(/breaks off|damaged|no PNG|no pixels/);
    expect(await kept()).toBe(0);
  });

  test('of a PNG that moves the first picture is kept, and it says so', async () => {
    const control = Buffer.alloc(8);
    control.writeUInt32BE(2, 0);
    const frame = (sequence: number): Buffer => {
      const data = Buffer.alloc(26);
      data.writeUInt32BE(sequence, 0);
      data.writeUInt32BE(30, 4);
      data.writeUInt32BE(20, 8);
      data.writeUInt16BE(1, 20);
      data.writeUInt16BE(10, 22);
      return chunk('fcTL', data);
    };
    const second = Buffer.concat([Buffer.from([0, 0, 0, 2]), deflateSync(Buffer.alloc(31 * 20, 255))]);
    const still = png(30, 20);
    const end = still.length - 12;
    const moving = Buffer.concat([
      png(30, 20, chunk('acTL', control), frame(0)).subarray(0, -12),
      frame(1),
      chunk('fdAT', second),
      still.subarray(end),
    ]);
    const { body } = await send(moving).expect(201);
    expect(body.note).toBe('This PNG moves; its first picture is used.');
    const back = await request(at.server).get(`/api/pictures/${body.sha256}`).expect(200);
    expect((back.body as Buffer).equals(png(30, 20))).toBe(true);
  });
});

test('an SVG that is a drawing is kept, and a browser sent to it runs nothing', async () => {
  const drawing = svg('<path d="M0 0L40 30"/><a href="#p"/><style>.x{fill:url(#g)}</style>');
  const { body } = await send(drawing, 'image/svg+xml').expect(201);
  expect(body).toMatchObject({ type: 'image/svg+xml', width: 40, height: 30 });
  const { headers } = await request(at.server).get(`/api/pictures/${body.sha256}`).expect(200);
  expect(headers['content-security-policy']).toMatch("default-src 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
});

/** Nine levels, each of which uses the one below ten times: a thousand million rectangles. */
const NESTED = Array.from(
  { length: 9 },
  (_, i) => `<g id="l${i + 1}">${`<use href="#l${i}"/>`.repeat(10)}</g>`,
).join('<rect id="l0" width="1" height="1"/>');

test.each([
  ['a script', svg('<script>alert(1)</script>'), 'script'],
  ['a handler', svg('<rect onload="alert(1)"/>'), 'script'],
  ['a script address', svg('<a xlink:href=" javascript:alert(1)"/>'), 'script'],
  ['a foreign part', svg('<foreignObject><p>hi</p></foreignObject>'), 'no drawing'],
  ['an outside picture', svg('<image href="https://example.org/a.png"/>'), 'outside'],
  ['an outside part', svg('<use xlink:href="other.svg#a"/>'), 'outside'],
  ['an outside style', svg('<style>@import url("https://example.org/a.css")</style>'), 'outside'],
  ['a hidden import', svg('<style>@im\\70ort "a.css"</style>'), 'outside'],
  ['an outside fill', svg('<rect fill="url(http://example.org/#a)"/>'), 'outside'],
  [
    'a handler that is set later',
    svg('<rect><set attributeName="onload" to="alert(1)"/></rect>'),
    'moves by itself',
  ],
  [
    'a reference that is set later',
    svg('<a><set attributeName="href" to="//example.org"/></a>'),
    'moves by itself',
  ],
  [
    'an animated reference',
    svg('<a><animate attributeName="xlink:href" values="//example.org"/></a>'),
    'moves by itself',
  ],
  ['a style in elements', svg('<style>@im<tspan/>port "a.css"</style>'), 'in pieces'],
  ['a style in remarks', svg('<style>@im<!-- -->port "a.css"</style>'), 'outside'],
  ['a style in CDATA', svg('<style><![CDATA[@im]]>port "a.css"</style>'), 'outside'],
  ['a style in instructions', svg('<style>@im<?x y?>port "a.css"</style>'), 'outside'],
  ['a set of pictures', svg('<style>rect{fill:image-set("a.png" 1x)}</style>'), 'outside'],
  ['an address in capitals', svg('<rect style="fill:URL(http://example.org/#a)"/>'), 'outside'],
  ['an escaped address', svg('<rect fill="u\\72l(http://example.org/#a)"/>'), 'outside'],
  ['a cursor from outside', svg('<rect style="cursor:url(http://example.org/c.png),auto"/>'), 'outside'],
  [
    'a variable that fetches',
    svg('<style>rect{--a:url(http://example.org/a);fill:var(--a)}</style>'),
    'outside',
  ],
  [
    'a page in it',
    svg('<meta xmlns="http://www.w3.org/1999/xhtml" http-equiv="refresh" content="0;//example.org"/>'),
    'no drawing',
  ],
  ['a form in it', svg('<form xmlns="http://www.w3.org/1999/xhtml" action="//example.org"/>'), 'no drawing'],
  [
    'a picture of a page',
    svg('<img xmlns="http://www.w3.org/1999/xhtml" src="//example.org/a.png"/>'),
    'no drawing',
  ],
  ['a style sheet from outside', `<?xml-stylesheet href="a.css"?>${svg('')}`, 'style sheet outside'],
  ['a definition from outside', `<!DOCTYPE svg SYSTEM "http://example.org/a.dtd">${svg('')}`, 'outside'],
  ['a damaged picture in it', svg('<image href="data:image/png;base64,iVBORw0KGgo="/>'), 'damaged'],
  ['parts that multiply', svg(NESTED), 'too many times'],
  [
    'parts that use each other',
    svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>'),
    'too many times',
  ],
  ['parts far within parts', svg('<g>'.repeat(400) + '</g>'.repeat(400)), 'too deep'],
  ['entities', `<!DOCTYPE svg [<!ENTITY a "aaaa">]>${svg('&a;')}`, 'entities'],
  ['no size', svg('<path d="M0 0"/>', ''), 'how large'],
  ['a missing end', svg('<g>').replace('</svg>', ''), 'incomplete'],
])('an SVG with %s is refused with a sentence', async (_, text, what) => {
  const { body } = await send(text, 'image/svg+xml').expect(422);
  expect(body.detail).toMatch(what);
  expect(body.detail).toMatch(/^This SVG .*\.$/);
  expect(await kept()).toBe(0);
});

describe('an SVG whose elements carry a prefix', () => {
  const prefixed = (inside: string, more = '') =>
    `<ns0:svg xmlns:ns0="http://www.w3.org/2000/svg" ${more} width="40" height="30">${inside}</ns0:svg>`;

  test('is read by its namespace, and kept as a drawing that browsers show', async () => {
    const drawing = prefixed(
      '<ns0:defs><ns0:rect id="r" width="5" height="5"/></ns0:defs><ns0:path d="M0 0L40 30" fill="#123456"/><ns0:use x:href="#r"/>',
      'xmlns:x="http://www.w3.org/1999/xlink"',
    );
    const { body } = await send(drawing, 'image/svg+xml').expect(201);
    expect(body).toMatchObject({ type: 'image/svg+xml', width: 40, height: 30 });
    const { body: bytes } = await request(at.server).get(`/api/pictures/${body.sha256}`).expect(200);
    const text = (bytes as Buffer).toString();
    expect(text).toMatch(/^<svg [^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
    expect(text).not.toContain('ns0');
    for (const part of ['<rect id="r"', 'fill="#123456"', 'href="#r"']) expect(text).toContain(part);
  });

  test.each([
    ['a script', prefixed('<ns0:script>alert(1)</ns0:script>'), 'script'],
    [
      'a script by another name',
      svg('<a:script xmlns:a="http://www.w3.org/2000/svg">1</a:script>'),
      'script',
    ],
    ['a foreign part', prefixed('<ns0:foreignObject/>'), 'no drawing'],
    ['an outside picture', prefixed('<ns0:image href="https://example.org/a.png"/>'), 'outside'],
    ['a page in it', prefixed('<h:script xmlns:h="http://www.w3.org/1999/xhtml">1</h:script>'), 'no drawing'],
    ['a prefix without a name', '<ns0:svg width="4" height="4"/>', 'incomplete'],
    [
      'the name of a page',
      '<svg xmlns="http://www.w3.org/1999/xhtml" width="4" height="4"/>',
      'not a drawing',
    ],
    [
      'a prefix of nothing',
      '<svg xmlns="http://www.w3.org/2000/svg" xmlns:a="" width="4" height="4"/>',
      'incomplete',
    ],
    ['the root of another', '<a:svg xmlns:a="urn:x" width="4" height="4"/>', 'not a drawing'],
  ])('with %s is refused with a sentence', async (_, text, what) => {
    const { body } = await send(text, 'image/svg+xml').expect(422);
    expect(body.detail).toMatch(what);
    expect(await kept()).toBe(0);
  });
});

test('twenty thousand small paths are a drawing', async () => {
  const paths = Array.from({ length: 20_000 }, (_, i) => `<path d="M${i % 40} ${i % 30}h1v1z"/>`).join('');
  await send(svg(paths), 'image/svg+xml').expect(201);
}, 60_000);

test('notes of a drawing program are taken out, and what is drawn is kept', async () => {
  const drawing = `<?xml version="1.0"?>
    <!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd">
    <svg xmlns="http://www.w3.org/2000/svg" xmlns:note="http://example.org/notes" width="20" height="10">
      <note:view zoom="2"/><metadata><note:by>Kai</note:by></metadata>
      <defs><linearGradient id="g"><stop offset="0" stop-color="red"/></linearGradient></defs>
      <g note:label="Layer" clip-path="url(#c)" transform="translate(1,2)">
        <path style="fill:url(#g);stroke:none" d="M0 0h9"/><use href="#c"/>
      </g>
      <clipPath id="c"><rect width="5" height="5"/></clipPath>
    </svg>`;
  const { body } = await send(drawing, 'image/svg+xml').expect(201);
  const { body: bytes } = await request(at.server).get(`/api/pictures/${body.sha256}`).expect(200);
  const text = (bytes as Buffer).toString();
  expect(text).not.toMatch(/note|metadata|Kai/);
  for (const part of [
    'linearGradient',
    'stop-color="red"',
    'clip-path="url(#c)"',
    'translate(1,2)',
    '<use href="#c"',
  ])
    expect(text).toMatch(part);
});

test('an address that names no picture is said to be empty', async () => {
  await request(at.server)
    .get(`/api/pictures/${'0'.repeat(64)}`)
    .expect(404);
  await request(at.server).get('/api/pictures/nonsense').expect(400);
});
