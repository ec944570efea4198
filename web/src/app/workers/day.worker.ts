import { exposeWork } from './core-errors';
import { dayWork } from './day-work';

export type { DayWorkerApi } from './day-work';

exposeWork(dayWork);
