import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { As, Teacher } from '../src/server/context';
import { listMedia, readMedium, storeMedium } from '../src/server/media/media';
import { teacher, testApp } from './support/app';
import { seeds, subsetSum } from './support/seeds';

const room = { width: 960, height: 540 };
const text = (words: string) => new TextEncoder().encode(words);
const svg = (inside: string, more = '') =>
  text(
    `<?xml version="1.0"?>\n<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20" width="40" height="20"${more}>${inside}</svg>`,
  );
const bean = '<path d="M5 10 C5 2 35 2 35 10 Z" fill="#17665b"/>';
/**
 * The first bytes of each kind, as their formats say: enough to be known by, and for sounds and films all that is
 * looked at.
 */
const WAV = Uint8Array.from([
  ...text('RIFF'),
  36,
  0,
  0,
  0,
  ...text('WAVEfmt '),
  16,
  0,
  0,
  0,
  1,
  0,
  1,
  0,
  0x40,
  0x1f,
  0,
  0,
  0x40,
  0x1f,
  0,
  0,
  1,
  0,
  8,
  0,
  ...text('data'),
  0,
  0,
  0,
  0,
]);

describe('media', () => {
  let odile: As<Teacher>;
  let other: As<Teacher>;
  let end: () => void;
  beforeAll(async () => {
    const app = await testApp();
    end = app.done;
    odile = await teacher(app.app, 'odile');
    other = await teacher(app.app, 'mareike');
  });
  afterAll(() => end());

  const take = (name: string, claimed: string, bytes: Uint8Array) => storeMedium(odile, { name, claimed, bytes, room });
  const refused = async (name: string, claimed: string, bytes: Uint8Array) => {
    const result = await take(name, claimed, bytes);
    return result.ok ? 'taken' : `${result.code}: ${result.problems?.[0]?.message}`;
  };
  const photo = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#8a5c0d' } });

  it('a picture is made no larger than the scene needs, and lighter', async () => {
    const bytes = await photo(6000, 3000).jpeg({ quality: 100 }).toBuffer();
    const result = await take('rack.jpg', 'image/jpeg', bytes);
    expect(result).toMatchObject({
      ok: true,
      value: { kind: 'picture', type: 'image/webp', width: 1920, height: 960 },
    });
    if (!result.ok) return;
    expect(result.value.weight).toBeLessThan(bytes.length);
    const kept = await readMedium(odile, result.value.hash);
    expect(kept).toMatchObject({ ok: true, value: { type: 'image/webp' } });
  });

  it('the same file sent twice is kept once, and is nobody else’s', async () => {
    const bytes = await photo(30, 20).png().toBuffer();
    const [first, second] = [await take('a.png', 'image/png', bytes), await take('b.png', 'image/png', bytes)];
    expect(second).toEqual(first);
    if (!first.ok) throw new Error('not taken');
    expect((await listMedia(odile)).filter(({ hash }) => hash === first.value.hash)).toHaveLength(1);
    expect(await readMedium(other, first.value.hash)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await storeMedium(other, { name: 'c.png', claimed: 'image/png', bytes, room })).toEqual(first);
    expect(await readMedium(other, first.value.hash)).toMatchObject({ ok: true });
  });

  it('what a camera noted does not stay in a picture', async () => {
    const bytes = await photo(60, 40)
      .withExif({ IFD0: { Copyright: 'Ines at home' } })
      .jpeg()
      .toBuffer();
    expect(bytes.includes('Ines at home')).toBe(true);
    const result = await take('noted.jpg', 'image/jpeg', bytes);
    if (!result.ok) throw new Error('not taken');
    const kept = await readMedium(odile, result.value.hash);
    expect(kept.ok && Buffer.from(kept.value.bytes).includes('Ines at home')).toBe(false);
  });

  it('a drawing is taken as it is, with its size', async () => {
    expect(await take('bean.svg', 'image/svg+xml', svg(bean))).toMatchObject({
      ok: true,
      value: { kind: 'picture', type: 'image/svg+xml', width: 40, height: 20 },
    });
    expect(
      await take(
        'shade.svg',
        'image/svg+xml',
        svg(
          `<defs><linearGradient id="g"><stop offset="0" stop-color="#fff"/></linearGradient></defs><rect width="9" height="9" fill="url(#g)"/>`,
        ),
      ),
    ).toMatchObject({ ok: true });
  });

  it.each([
    ['script', svg('<script>alert(1)</script>')],
    ['a handler', svg(bean, ' onload="alert(1)"')],
    ['a link that runs', svg(`<a href="javascript:alert(1)">${bean}</a>`)],
    [
      'a page inside',
      svg('<foreignObject><body xmlns="http://www.w3.org/1999/xhtml"><iframe src="x"/></body></foreignObject>'),
    ],
    ['script in another namespace', svg('<x:script xmlns:x="http://www.w3.org/2000/svg">alert(1)</x:script>')],
    ['an entity', text('<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>')],
    ['a picture from elsewhere', svg('<image href="https://example.org/a.png" width="9" height="9"/>')],
    ['a fill from elsewhere', svg('<rect width="9" height="9" style="fill:url(https://example.org/a.svg#b)"/>')],
  ])('a drawing with %s in it is refused', async (_, bytes) => {
    expect(await refused('bean.svg', 'image/svg+xml', bytes)).toMatch(
      /^notTaken: "bean.svg": (This drawing|It says it is SVG)/,
    );
  });

  it('a file that is not what it claims, is empty, broken or too big is refused with a sentence', async () => {
    const png = await photo(30, 20).png().toBuffer();
    expect(await refused('rack.jpg', 'image/jpeg', png)).toBe(
      'notTaken: "rack.jpg": It says it is JPEG, but it is PNG. Save it as what it is.',
    );
    expect(await refused('rack.png', 'image/png', text('<html><script>alert(1)</script>'))).toBe(
      'notTaken: "rack.png": It says it is PNG, but it is not.',
    );
    expect(await refused('notes.txt', 'text/plain', text('hello'))).toMatch(
      /^notTaken: "notes.txt": Pictures are taken as PNG/,
    );
    expect(await refused('rack.png', 'image/png', new Uint8Array())).toBe('notTaken: "rack.png": It is empty.');
    expect(await refused('rack.png', 'image/png', png.subarray(0, 60))).toMatch(/cannot be read as a picture/);
    expect(await refused('rack.png', 'image/png', Buffer.concat([png, Buffer.alloc(26_000_000)]))).toBe(
      'notTaken: "rack.png": It is too big: a picture may have 25 MB.',
    );
    expect(
      await refused('huge.png', 'image/png', await photo(9000, 7000).png({ compressionLevel: 1 }).toBuffer()),
    ).toMatch(/too many pixels/);
  });

  it('a film is known by its first bytes and kept as it is', async () => {
    const mp4 = Uint8Array.from([
      0,
      0,
      0,
      24,
      ...text('ftypisom'),
      0,
      0,
      2,
      0,
      ...text('isomiso2'),
      0,
      0,
      0,
      8,
      ...text('mdat'),
    ]);
    const webm = Uint8Array.from([0x1a, 0x45, 0xdf, 0xa3, 0x87, 0x42, 0x82, 0x84, ...text('webm')]);
    expect(await take('door.mp4', 'video/mp4', mp4)).toMatchObject({
      ok: true,
      value: { kind: 'film', type: 'video/mp4', weight: mp4.length },
    });
    expect(await take('door.webm', 'video/webm', webm)).toMatchObject({
      ok: true,
      value: { kind: 'film', type: 'video/webm' },
    });
    expect(await refused('door.mp4', 'video/mp4', webm)).toBe(
      'notTaken: "door.mp4": It says it is MP4, but it is WebM. Save it as what it is.',
    );
  });

  it('a sound is kept as it is', async () => {
    const result = await take('paper.wav', 'audio/x-wav', WAV);
    expect(result).toMatchObject({ ok: true, value: { kind: 'sound', type: 'audio/wav', weight: WAV.length } });
  });

  it.each([
    ['comments before what is no drawing', text(`${'<!---->'.repeat(400)}x`)],
    ['nested deep', svg('<g>'.repeat(30_000))],
    ['of attributes', svg(`<path ${Array.from({ length: 60_000 }, (_, i) => `a${i}="1"`).join(' ')}/>`)],
    ['nested and closed', svg(`${'<g>'.repeat(100)}${'</g>'.repeat(100)}`)],
    ['more parts than a drawing has', svg('<path d="M0 0h1"/>'.repeat(20_000))],
  ])('a drawing made to cost time is refused: %s', async (_, bytes) => {
    expect(await refused('bean.svg', 'image/svg+xml', bytes)).toMatch(
      /^notTaken: .*(it is not|more than 5000 parts|nested more than 64 levels deep|more than 500 attributes)/,
    );
  });

  it('work that does not end is ended at its deadline, and others go on', async () => {
    const question = seeds({ show: { modelAnswer: 'atTheEnd' }, ...subsetSum(1) });
    expect(await odile.work.run('modelAnswer', { question }, 50)).toEqual({ ok: false, reason: 'tooLong' });
    expect(await take('bean.svg', 'image/svg+xml', svg(bean))).toMatchObject({ ok: true });
  });

  it.each([
    'fill:image-set("http://example.org/a.png" 1x)',
    'fill:u\\72l(http://example.org/a.svg#b)',
    '@import "http://example.org/a.css"',
  ])('a drawing asks nothing of another place in its styles: %s', async (style) => {
    expect(await refused('bean.svg', 'image/svg+xml', svg(`<rect width="9" height="9" style='${style}'/>`))).toMatch(
      /asks for something at another place/,
    );
  });
});
