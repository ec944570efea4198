import { readFileSync } from 'node:fs';
import { layOutFreeSteps, layOutByHandSteps } from '@yellow-pane/core/cutting';
const load = (name: string) => { const d = JSON.parse(readFileSync(`/work/shared/bench/cutting/${name}.json`, 'utf8')); let id = 0; return { request: { rollWidth_mm: d.width, pieces: d.items.flatMap(({ w, h, qty }: any) => Array.from({ length: qty }, () => ({ id: String(id++), across_mm: w, along_mm: h, mayTurn90: d.rotation }))) }, ref: d.knownOptimum ?? d.lowerBound, best: d.bestKnown?.[process.argv[3] === 'hand' ? 'threeStage' : 'free'] }; };
const most = Number(process.argv[4] ?? 3000);
for (const name of process.argv[2]!.split(',')) for (const seed of [1, 2]) {
  const { request, ref, best } = load(name);
  const t = performance.now(); if (process.env['TRACE']) console.log('start', Math.round(t));
  const s = process.argv[3] === 'hand' ? layOutByHandSteps(request, { stages: 3, seed, mostRounds: 1e9 }) : layOutFreeSteps(request, { seed, mostRounds: 1e9 });
  const marks = [200, 1000, 3000, 5000]; const line: string[] = []; let len = NaN; let m = 0; let lastT = 0;
  for (;;) { const v = s.next(); const now = performance.now() - t; while (m < marks.length && now > marks[m]!) { line.push(((100 * (len - ref)) / ref).toFixed(2)); m++; } if (v.value.length_mm.value !== len) { len = v.value.length_mm.value; lastT = now; } if (v.done || now > most) break; }
  console.log(name, 'seed', seed, line.join(' / '), 'end', ((100 * (len - ref)) / ref).toFixed(3), 'last better', Math.round(lastT), 'ms; best known', best && ((100 * (best - ref)) / ref).toFixed(2));
}
