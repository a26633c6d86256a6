// Records demo/media/drying.webm, the film of the demo and of the stand-in player: drawn on a canvas in headless
// Chromium and kept by its MediaRecorder. Run by hand (`node scripts/recordFilm.mjs`) when the drawing is changed; what
// it makes is in the repository.
import { copyFileSync, writeFileSync } from 'node:fs';
import { chromium } from 'playwright';

const SECONDS = 12;

/**
 * In the page: draws the film for as long as it lasts, and gives its bytes in base64. A text, since the compiler's
 * helpers are not there.
 */
const RECORD = `(async () => {
  const [W, H] = [320, 200];
  const canvas = document.body.appendChild(Object.assign(document.createElement('canvas'), { width: W, height: H }));
  const c = canvas.getContext('2d');
  const [ink, paper, sheet, brass, wash, green] = ['#14202b', '#f4efe4', '#fffef9', '#8a5a00', '#f5e6c8', '#1f6f5c'];
  const seeds = Array.from({ length: 26 }, (_, i) => ({ x: 52 + (i % 13) * 18 + ((i * 7) % 5), row: Math.floor(i / 13) }));
  const part = (t, from, seconds) => Math.max(0, Math.min(1, (t - from) / seconds));
  const draw = (t) => {
    const [spread, dry, lift] = [part(t, 0, 3), part(t, 3, 5), part(t, 9, 2)];
    c.fillStyle = paper;
    c.fillRect(0, 0, W, H);
    c.fillStyle = ink;
    for (const x of [34, 282]) c.fillRect(x, 40, 4, 130);
    c.fillStyle = brass;
    for (const y of [92, 148]) c.fillRect(38, y, 244, 4);
    c.fillStyle = 'rgb(' + [120 + 70 * dry, 96 + 56 * dry, 48 + 40 * dry].map(Math.round) + ')';
    for (const [i, { x, row }] of seeds.entries()) {
      if (i / seeds.length > spread) continue;
      c.beginPath();
      c.ellipse(x, 86 + row * 56, 6 - 1.6 * dry, 4 - 1.2 * dry, 0.3 * (i % 3), 0, 7);
      c.fill();
    }
    if (t > 3 && t < 9) {
      c.strokeStyle = green;
      c.lineWidth = 2;
      for (const y of [60, 104, 148]) {
        c.beginPath();
        for (let x = 46; x < 276; x += 4) c.lineTo(x, y + 5 * Math.sin(x / 14 + t * 4));
        c.stroke();
      }
    }
    c.textAlign = 'center';
    c.font = '600 14px sans-serif';
    const label = (x, y, w, h, fill, words) => {
      c.fillStyle = fill;
      c.fillRect(x, y, w, h);
      c.strokeStyle = c.fillStyle = ink;
      c.lineWidth = 1.5;
      c.strokeRect(x, y, w, h);
      c.fillText(words, x + w / 2, y + h / 2 + 5);
    };
    label(108, 8, 104, 24, sheet, 'water ' + Math.round(38 - 23 * dry) + ' %');
    if (lift > 0) label(118, 210 - 66 * lift, 84, 48, wash, 'sachet');
  };
  const recorder = new MediaRecorder(canvas.captureStream(12), { mimeType: 'video/webm;codecs=vp8', videoBitsPerSecond: 60000 });
  const parts = [];
  recorder.ondataavailable = ({ data }) => parts.push(data);
  const stopped = new Promise((resolve) => (recorder.onstop = resolve));
  recorder.start();
  const began = performance.now();
  await new Promise((resolve) => {
    const step = () => {
      const t = (performance.now() - began) / 1000;
      draw(Math.min(t, ${SECONDS}));
      if (t < ${SECONDS}) requestAnimationFrame(step);
      else resolve();
    };
    step();
  });
  recorder.stop();
  await stopped;
  return btoa(Array.from(new Uint8Array(await new Blob(parts).arrayBuffer()), (byte) => String.fromCharCode(byte)).join(''));
})()`;

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
const film = Buffer.from(await page.evaluate(RECORD), 'base64');
await browser.close();
writeFileSync('demo/media/drying.webm', film);
copyFileSync('demo/media/drying.webm', 'public/stand-in/drying.webm');
console.log(`${film.length} bytes`);
