import { type Stroke, type StrokesAsked, calculateStrokes } from '@yellow-pane/core/strokes';
import { exposeWork } from './core-errors';

const api = {
  strokes(asked: StrokesAsked): readonly Stroke[] {
    return calculateStrokes(asked);
  },
};
export type StrokesWorkerApi = typeof api;

exposeWork(api);
