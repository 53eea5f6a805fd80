import { readFileSync } from 'node:fs';
import { createCanvas } from '@napi-rs/canvas';
import { getDocument, OPS, VerbosityLevel } from 'pdfjs-dist/legacy/build/pdf.mjs';

/*
 * A process of its own that reads PDFs back with another library: told a file, it answers with what is in it: pages with their
 * sizes, texts with where they stand and how many dark pixels each has, every line and picture that is drawn, in mm from the
 * upper left corner.
 */
const MM = 25.4 / 72;
const INK_SCALE = 2;
function tagsOf(node) {
  if (!node) return [];
  return [...(node.role ? [node.role] : []), ...(node.children ?? []).flatMap(tagsOf)];
}

/** Lines of points and sizes of pictures, by the transforms that are in force where they are drawn. */
function drawnOn({ fnArray, argsArray }, height) {
  let m = [1, 0, 0, 1, 0, 0];
  const kept = [];
  const paths = [];
  const images = [];
  fnArray.forEach((fn, i) => {
    const args = argsArray[i];
    if (fn === OPS.save) kept.push(m);
    else if (fn === OPS.restore) m = kept.pop() ?? m;
    else if (fn === OPS.transform) m = times(m, args);
    // a picture is the unit square of its transform
    else if (fn === OPS.paintImageXObject)
      images.push({ width: Math.hypot(m[0], m[1]) * MM, height: Math.hypot(m[2], m[3]) * MM });
    else if (fn === OPS.constructPath) {
      const [, [coords]] = args;
      if (coords) paths.push(pointsOf(coords, (x, y) => place(m, x, y, height)));
    }
  });
  return { paths, images };
}

const times = (a, b) => [
  a[0] * b[0] + a[2] * b[1],
  a[1] * b[0] + a[3] * b[1],
  a[0] * b[2] + a[2] * b[3],
  a[1] * b[2] + a[3] * b[3],
  a[0] * b[4] + a[2] * b[5] + a[4],
  a[1] * b[4] + a[3] * b[5] + a[5],
];
const place = (m, x, y, height) => [(m[0] * x + m[2] * y + m[4]) * MM, (height - (m[1] * x + m[3] * y + m[5])) * MM];

/** moveTo 0, lineTo 1, curveTo 2, closePath 4. */
function pointsOf(coords, at) {
  const points = [];
  for (let i = 0; i < coords.length;) {
    const op = coords[i++];
    if (op === 0 || op === 1) points.push(at(coords[i++], coords[i++]));
    else if (op === 2) {
      points.push(at(coords[i + 4], coords[i + 5]));
      i += 6;
    } else if (op === 3) {
      points.push(at(coords[i + 2], coords[i + 3]));
      i += 4;
    }
  }
  return points;
}

async function countInk(page, made) {
  const viewport = page.getViewport({ scale: INK_SCALE });
  const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height));
  const context = canvas.getContext('2d');
  context.fillStyle = 'white';
  context.fillRect(0, 0, canvas.width, canvas.height);
  await page.render({ canvasContext: context, viewport, canvas }).promise;
  const { width, height } = canvas;
  // the whole page at once: a look at each word by itself took most of the time
  const { data: px } = context.getImageData(0, 0, width, height);
  for (const t of made.texts) {
    const k = INK_SCALE / MM;
    const [left, top] = [Math.max(0, Math.floor(t.x * k)), Math.max(0, Math.floor((t.y - t.height) * k))];
    const right = Math.min(width, left + Math.max(1, Math.ceil(t.width * k)));
    const bottom = Math.min(height, top + Math.max(1, Math.ceil(t.height * 1.2 * k)));
    t.ink = 0;
    for (let y = top; y < bottom; y++) for (let x = left; x < right; x++) if (px[(y * width + x) * 4] < 128) t.ink += 1;
  }
}

async function readFile(file) {
  const data = new Uint8Array(readFileSync(file));
  const pdf = await getDocument({ data, verbosity: VerbosityLevel.ERRORS, useSystemFonts: false }).promise;
  const { info } = await pdf.getMetadata();
  const pages = [];
  for (let n = 1; n <= pdf.numPages; n++) pages.push(await readPage(await pdf.getPage(n)));
  const tagged = (await pdf.getMarkInfo())?.Marked ?? false;
  await pdf.destroy();
  return { title: info.Title, lang: info.Language, tagged, pages };
}

async function readPage(page) {
  const [, , width, height] = page.view;
  const content = await page.getTextContent();
  const texts = content.items
    .filter((i) => i.str.trim() !== '')
    .map((i) => ({
      text: i.str,
      x: i.transform[4] * MM,
      y: (height - i.transform[5]) * MM,
      width: i.width * MM,
      height: i.height * MM,
    }));
  const made = { width: width * MM, height: height * MM, texts, ...drawnOn(await page.getOperatorList(), height) };
  await countInk(page, made);
  return { ...made, tree: tagsOf(await page.getStructTree()) };
}

process.on('message', (file) => {
  readFile(file).then(
    (read) => process.send({ file, read }),
    (error) => process.send({ file, error: String(error) }),
  );
});
process.on('disconnect', () => process.exit());
