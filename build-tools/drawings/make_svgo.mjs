// Writes the SVG files of store/src/test/resources/drawings/svgo with SVGO 4, and what is in them by hand.
//
//     mkdir /tmp/n && cd /tmp/n && npm i svgo && node REPOSITORY/build-tools/drawings/make_svgo.mjs
//
// Each drawing is written plainly here, on a page of 200 by 150 mm; SVGO joins, rounds and rewrites it.
import { mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const { optimize } = createRequire(join(process.cwd(), 'x.js'))('svgo');
const out = join(dirname(fileURLToPath(import.meta.url)), '../../store/src/test/resources/drawings/svgo');
mkdirSync(out, { recursive: true });
const rows = ['file,sheets,holes,left'];
const LINE = 'fill="none" stroke="#000" stroke-width=".2"';
const FILL = 'fill="#ccc"';
const PI = Math.PI;

function one(name, inside, sheets, holes, left, config) {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="200mm" height="150mm" viewBox="0 0 200 150">${inside}</svg>`;
  writeFileSync(join(out, name + '.svg'), optimize(svg, config).data);
  rows.push([name, sheets.map((s) => s.map((f) => f.toFixed(4)).join(' ')).join(';'), holes, left].join(','));
}

// Twice each: with the rules as they come, and joined as far as can be, with two decimals fewer.
function both(name, inside, sheets, holes = '', left = 0) {
  one(name, inside, sheets, holes, left, { multipass: true });
  one(name + '-tight', inside, sheets, holes, left, {
    multipass: true,
    floatPrecision: 4,
    plugins: [{ name: 'preset-default', params: { overrides: { mergePaths: { force: true }, cleanupIds: { minify: true } } } }, 'convertStyleToAttrs', 'reusePaths', 'removeXlink'],
  });
}

// The plate of all these: 60 by 40 with two corners cut. Area 2340 of the whole, its centre by triangles.
const PLATE = 'M20 20H80V60H32L20 50Z';
const A = 2340;
const CX = (2400 * 50 - 60 * 24) / A, CY = -(2400 * 40 - 60 * (60 - 10 / 3)) / A;
const plate = [A, CX, CY];
const circle = (x, y, r) => [PI * r * r, x, -y];

both('path', `<path d="${PLATE}" ${LINE}/>`, [plate]);
both('absolute', `<path d="M 20,20 L 80,20 L 80,60 L 32,60 L 20,50 L 20,20 Z" ${LINE}/>`, [plate]);
both('polygon', `<polygon points="20,20 80,20 80,60 32,60 20,50" ${LINE}/>`, [plate]);
both('polyline', `<polyline points="20,20 80,20 80,60 32,60 20,50 20,20" ${LINE}/>`, [plate]);
both('edges', `<g ${LINE}><line x1="20" y1="20" x2="80" y2="20"/><line x1="80" y1="60" x2="80" y2="20"/><line x1="32" y1="60" x2="80" y2="60"/><line x1="32" y1="60" x2="20" y2="50"/><line x1="20" y1="20" x2="20" y2="50"/></g>`, [plate]);
both('groups', `<g transform="translate(10 5)"><g transform="scale(2)"><g><path d="M5 7.5h30v20H11l-6-5z" ${LINE}/></g></g></g>`, [plate]);
both('turned', `<g transform="rotate(90 50 40)"><path d="${PLATE}" ${LINE}/></g>`, [[A, 50 - (-CY - 40), -(40 + (CX - 50))]]);
both('mirrored', `<g transform="matrix(-1 0 0 1 100 0)"><path d="${PLATE}" ${LINE}/></g>`, [[A, 100 - CX, CY]]);
both('skewed', `<g transform="skewX(20)"><path d="${PLATE}" ${LINE}/></g>`, [[A, CX - CY * Math.tan(20 * PI / 180), CY]]);
both('styled', `<style>.s{fill:none;stroke:#000;stroke-width:.2}.h{display:none}</style><path class="s" d="${PLATE}"/><path class="h" d="M100 20h9v9z"/>`, [plate]);
both('used', `<defs><circle id="h" r="1.25" ${LINE}/></defs><path d="${PLATE}" ${LINE}/><use xlink:href="#h" x="30" y="30"/><use xlink:href="#h" x="50" y="30"/>`, [plate], '2.5 2');
both('holes', `<path d="${PLATE}" ${LINE}/>${[30, 40, 50, 60].map((x) => `<circle cx="${x}" cy="30" r="1.25" ${LINE}/>`).join('')}`, [plate], '2.5 4');
both('holes-of-two-sizes', `<g ${LINE}><path d="${PLATE}"/><circle cx="30" cy="30" r="1.25"/><circle cx="40" cy="30" r="1.6"/><ellipse cx="50" cy="30" rx="1.6" ry="1.6"/></g>`, [plate], '2.5 1;3.2 2');
both('holes-of-arcs', `<g ${LINE}><path d="${PLATE}"/><path d="M28.75 30A1.25 1.25 0 0 1 31.25 30A1.25 1.25 0 0 1 28.75 30Z"/></g>`, [plate], '2.5 1');
both('holes-of-cubics', `<g ${LINE}><path d="${PLATE}"/><path d="M41.6 30C41.6 30.88366 40.88366 31.6 40 31.6C39.11634 31.6 38.4 30.88366 38.4 30C38.4 29.11634 39.11634 28.4 40 28.4C40.88366 28.4 41.6 29.11634 41.6 30Z"/></g>`, [plate], '3.2 1');
both('round-corners', `<rect x="20" y="20" width="60" height="40" rx="8" ${LINE}/>`, [[2400 - (4 - PI) * 64, 50, -40]]);
both('slot', `<path d="M30 30H70A10 10 0 0 1 70 50H30A10 10 0 0 1 30 30Z" ${LINE}/>`, [[800 + PI * 100, 50, -40]]);
both('disc', `<circle cx="60" cy="60" r="30" ${LINE}/>`, [circle(60, 60, 30)]);
both('ellipse', `<ellipse cx="60" cy="60" rx="30" ry="15" ${LINE}/>`, [[PI * 450, 60, -60]]);
both('window', `<path fill-rule="evenodd" d="${PLATE}M40 30H60V45H40Z" ${FILL}/>`, [plate]);
both('window-the-other-way', `<path d="${PLATE}M40 30V45H60V30Z" ${FILL}/>`, [plate]);
both('parabola', `<path d="M20 60Q50 20 80 60Z" ${LINE}/>`, [[2 / 3 * 60 * 20, 50, -52]]);
both('clipped', `<clipPath id="c"><path d="M0 0h100v100H0z"/></clipPath><g clip-path="url(#c)"><path d="${PLATE}" ${LINE}/></g>`, [plate]);
both('views', `<svg x="100" y="50" width="100" height="75" viewBox="0 0 200 150"><path d="${PLATE}" ${LINE}/></svg>`, [[A / 4, 100 + CX / 2, -50 + CY / 2]]);
writeFileSync(join(out, 'expected.csv'), rows.join('\n') + '\n');
