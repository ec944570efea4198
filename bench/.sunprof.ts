import { directSun, sunTrack } from '@yellow-pane/core/climate';
const KESTREL = { latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 };
const RIDGE = [[135, 14], [170, 11], [200, 9], [225, 7], [250, 12], [280, 18], [315, 22]].map(([bearing_deg = 0, elevation_deg = 0]) => ({ bearing_deg, elevation_deg }));
for (let round = 0; round < 2; round++) {
const t0 = performance.now();
const track = sunTrack(KESTREL, Date.UTC(2026, 0, 1), Date.UTC(2027, 0, 1));
const t1 = performance.now();
const split = [0, 0, 0, 0]; let sum = 0, n = 0;
for (let index = 0; index < 500; index += 1) {
  const t = performance.now();
  const s = directSun(track, { bearing_deg: (index * 7.3) % 360, tilt_deg: 90, skyline: index % 2 === 0 ? RIDGE : [], shading: index % 3 === 0 ? null : { width_mm: 1200, height_mm: 2140, overhangDepth_mm: 1400, overhangAbove_mm: 200, revealDepth_mm: 80 } }, 'seen');
  split[(index % 2 === 0 ? 2 : 0) + (index % 3 === 0 ? 0 : 1)] += performance.now() - t; n += s.length; for (const x of s) sum += x.to_ms - x.from_ms;
}
console.log('track', Math.round(t1 - t0), 'total', Math.round(performance.now() - t0), 'open/bare, open/shade, sky/bare, sky/shade', split.map(Math.round), n, sum);
}
