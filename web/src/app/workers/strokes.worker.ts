import { type Stroke, type StrokesAsked, reckonStrokes } from '@yellow-pane/core/strokes';
import { exposeWork } from './core-errors';

const api = {
  strokes(asked: StrokesAsked): readonly Stroke[] {
    return reckonStrokes(asked);
  },
};
export type StrokesWorkerApi = typeof api;

exposeWork(api);
