import type { DeviceMessage } from '@yellow-pane/contracts';
import {
  EMPTY,
  type Observable,
  concatMap,
  filter,
  finalize,
  map,
  of,
  race,
  share,
  take,
  tap,
  timer,
} from 'rxjs';
import { sharedStream } from './shared-stream';

const LINE_MS = 1000;
const LINGER_MS = 5000;

let isStanding = false;
/** Whether a job was read before the line stood: something may have fallen between the two. */
let isReadBlind = false;

/** Everything the server tells, over the one line of this browser. */
export const events$ = sharedStream('/api/events', ['change', 'reload', 'began', 'device', 'call']).pipe(
  tap(({ name }) => {
    if (name === 'open' || name === 'error') isStanding = name === 'open';
  }),
  finalize(() => {
    isStanding = false;
  }),
  share({ resetOnRefCountZero: () => timer(LINGER_MS) }),
);

/** What one device says; undefined when the line to the server is gone. */
export function saidBy(device: 'laser' | 'plotter' | 'thermometer'): Observable<DeviceMessage | undefined> {
  return events$.pipe(
    concatMap(({ name, data }) => {
      if (name === 'error') return of(undefined);
      if (name !== 'device') return EMPTY;
      const message = JSON.parse(data) as DeviceMessage;
      return message.device === device ? of(message) : EMPTY;
    }),
  );
}

/** Reading waits until the line stands, so that nothing falls between the two; not for long. */
export function lineStands(): Observable<unknown> {
  if (isStanding) {
    isReadBlind = false;
    return of(true);
  }
  return race(
    events$.pipe(
      filter(({ name }) => name === 'open'),
      take(1),
      map(() => false),
    ),
    timer(LINE_MS).pipe(map(() => true)),
  ).pipe(
    tap((isBlind) => {
      isReadBlind = isBlind;
    }),
  );
}

/** Whether what was read last was read before the line stood. */
export function wasReadBlind(): boolean {
  return isReadBlind;
}
