import { expose } from 'comlink';
import { dayWork } from './day-work';

export type { DayWorkerApi, SearchTime } from './day-work';

expose(dayWork);
