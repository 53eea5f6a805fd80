import { mkdirSync, writeFileSync } from 'node:fs';
import sharp from 'sharp';
import { madeUpPicture } from '@steddo/core/photo';
import { demoRooms, photographed } from '@steddo/samples';

/* The pictures that the demo comes with: each made of its room and a camera that never was, and written as a JPEG. */

const TO = 'apps/server/pictures';
const QUALITY = 80;

mkdirSync(TO, { recursive: true });
for (const { room, things, sheets, camera } of photographed) {
  const { job } = demoRooms.find((r) => r.id === room)!;
  const wall = { ...job, room: { ...job.room, objects: [...things] } };
  const { width, height, data } = madeUpPicture(wall, { camera, sheets, seed: 7 });
  const jpeg = await sharp(data, { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: QUALITY })
    .toBuffer();
  writeFileSync(`${TO}/${room}.jpg`, jpeg);
  console.log(`${room}.jpg: ${width} x ${height}, ${Math.round(jpeg.length / 1000)} kB`);
}
