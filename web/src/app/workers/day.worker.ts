import { exposeWork } from './core-errors';
import { dayWork } from './day-work';

export type { DayWorkerApi, SearchTime } from './day-work';

exposeWork(dayWork);
