import { writeFileSync } from 'node:fs';
import { bandsOf, drillModelWalls } from '../packages/core/test/modelWalls';

/** The long run of the calibration: ten thousand walls, a table, and the plot in docs/. */
const WALLS = Number(process.argv[2] ?? 10_000);
const bands = bandsOf(drillModelWalls(WALLS, 2026));
let out = 0;
for (const { stated, landed, count, bound } of bands) {
  const within = Math.abs(landed - stated) < bound;
  if (!within) out += 1;
  console.log(
    `${stated.toFixed(3)} stated  ${landed.toFixed(3)} landed  of ${String(count).padStart(5)}  ${within ? 'within' : 'OUTSIDE'} ${bound.toFixed(3)}`,
  );
}

const [SIZE, PAD] = [360, 40];
const at = (p: number) => PAD + p * SIZE;
const up = (p: number) => PAD + (1 - p) * SIZE;
const ticks = [0, 0.2, 0.4, 0.6, 0.8, 1];
const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE + 2 * PAD} ${SIZE + 2 * PAD}" font-family="sans-serif" font-size="11" fill="#25231F">
<rect width="100%" height="100%" fill="#FAF8F4"/>
<path d="M${at(0)} ${up(0)}L${at(1)} ${up(1)}" stroke="#5F594E" stroke-dasharray="4 4"/>
<path d="M${at(0)} ${up(1)}V${up(0)}H${at(1)}" fill="none" stroke="#25231F"/>
${ticks.map((t) => `<text x="${at(t)}" y="${up(0) + 16}" text-anchor="middle">${t}</text><text x="${at(0) - 8}" y="${up(t) + 4}" text-anchor="end">${t}</text>`).join('\n')}
${bands.map((b) => `<path d="M${at(b.stated)} ${up(Math.min(1, b.stated + b.bound))}V${up(Math.max(0, b.stated - b.bound))}" stroke="#CDB86E" stroke-width="6"/><circle cx="${at(b.stated)}" cy="${up(b.landed)}" r="4" fill="#1F4F6E"/>`).join('\n')}
<text x="${at(0.5)}" y="${SIZE + 2 * PAD - 6}" text-anchor="middle">stated chance that the hole is all in wood</text>
<text x="${at(0.05)}" y="${up(0.95)}">landed share of ${WALLS} walls, one hole each; bars: three sd of the binomial</text>
</svg>
`;
writeFileSync(new URL('../docs/calibration.svg', import.meta.url), svg);
console.log(`${bands.length - out} of ${bands.length} bands within their bound; drawn in docs/calibration.svg`);
process.exitCode = out === 0 ? 0 : 1;
