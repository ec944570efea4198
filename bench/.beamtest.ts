import { readFileSync } from 'node:fs';
import { beam } from '../core/src/cutting/free/beam';
import { stripProblem } from '../core/src/cutting/by-hand/strip-problem';
import { lengthBound } from '../core/src/cutting/layout';
import { seededRandom } from '@yellow-pane/core/quantity';
const load = (name: string) => { const d = JSON.parse(readFileSync(`/work/shared/bench/cutting/${name}.json`, 'utf8')); let id = 0; return { request: { rollWidth_mm: d.width, pieces: d.items.flatMap(({ w, h, qty }: any) => Array.from({ length: qty }, () => ({ id: String(id++), across_mm: w, along_mm: h, mayTurn90: d.rotation }))) }, ref: d.knownOptimum ?? d.lowerBound, best: d.bestKnown?.free }; };
for (const name of process.argv[2]!.split(',')) {
  const { request, ref, best } = load(name);
  const problem = stripProblem(request);
  const bound = lengthBound(request);
  const all = Uint16Array.from(problem.kinds, ({ quantity }) => quantity);
  for (const fronts of process.argv[3]!.split(',').map(Number)) for (const [tries, chance, mix] of [[4, 0.05, 0], [8, 0.05, 0], [4, 0.05, 0.25]] as const) {
    const random = seededRandom(5);
    const worth = problem.kinds.map(({ across, along }, kind) => (1 - mix) * across * along + mix * (bound.prices?.[kind] ?? 0));
    const t = performance.now();
    const run = beam(problem, all, { fronts, tries, chance, worth, random, stretch: Number(process.argv[4] ?? 0.01) }, Math.round(ref * 1.06 / problem.alongStep_mm));
    let s = run.next(); while (!s.done) s = run.next();
    const took = performance.now() - t;
    console.log(name, fronts, tries, mix, s.value === undefined ? 'none' : ((100 * (s.value.along * problem.alongStep_mm - ref)) / ref).toFixed(2) + '%', Math.round(took) + ' ms', (took * 1000 / fronts / request.pieces.length).toFixed(1) + ' µs/front', 'best known', best && ((100 * (best - ref)) / ref).toFixed(2));
  }
}
