import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { Timetable } from './timetable';
import { TOO_LATE, calendarOf, openFrom } from './calendar';
import { flatRows } from './flat-rows';
import { nextWithin, spansOf, timesOf } from './network';
import type { Span } from './problem';
import { lagRows } from './lag-rows';
import { ToolUnits } from './tool-units';
import { leastWorked, workedBefore, workingHours, workingMinutes } from './working-minutes';

const HORIZON = 200;
/** Spans in order, apart from one another, as hours and windows are. */
const spans = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 40 })), { maxLength: 6 })
  .map((gaps) => {
    let at = 0;
    return gaps.map(([gap, length]): Span => {
      const from = at + gap;
      at = from + length;
      return { from, to: at };
    });
  });
const isWithin = (own: readonly Span[], from: number, minutes: number): boolean =>
  own.some((span) => span.from <= from && from + minutes <= span.to);
/** The first minute for which something holds, looked for one by one. */
const firstMinute = (from: number, until: number, holds: (minute: number) => boolean): number | undefined => {
  for (let minute = from; minute <= until; minute += 1) if (holds(minute)) return minute;
  return undefined;
};

describe('when is somebody free?', () => {
  const own = fc.array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 20 })), {
    maxLength: 8,
  });
  it('one at a time: the first gap long enough, as if looked for minute by minute', () => {
    fc.assert(
      fc.property(
        own,
        fc.integer({ min: 0, max: 150 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer(),
        (gaps, from, minutes, seed) => {
          const perturbedReleases: Span[] = [];
          let at = 0;
          for (const [gap, length] of gaps) {
            perturbedReleases.push({ from: at + gap, to: at + gap + length });
            at += gap + length;
          }
          const timetable = new Timetable(perturbedReleases.length);
          /** Booked in any order. */
          [...perturbedReleases.entries()]
            .sort(([a], [b]) => ((a * 7 + seed) % 5) - ((b * 7 + seed) % 5))
            .forEach(([step, span]) => {
              timetable.book(step, span.from, span.to);
            });
          expect(timetable.nextFree(from, minutes)).toBe(
            firstMinute(from, 1000, (minute) =>
              perturbedReleases.every((span) => span.to <= minute || minute + minutes <= span.from),
            ),
          );
        },
      ),
      { numRuns: 300 },
    );
  });
  it('several at once: the first minute from which enough are left all the time', () => {
    const uses = fc.array(
      fc.record({
        from: fc.integer({ min: 0, max: 60 }),
        length: fc.integer({ min: 1, max: 30 }),
        count: fc.integer({ min: 1, max: 2 }),
      }),
      { maxLength: 7 },
    );
    fc.assert(
      fc.property(
        uses,
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 3 }),
        (list, from, minutes, need) => {
          const all = 3;
          const timetable = new Timetable(list.length);
          list.forEach((use, step) => {
            timetable.book(step, use.from, use.from + use.length, use.count);
          });
          const usedAt = (minute: number): number =>
            list.reduce(
              (sum, use) => sum + (use.from <= minute && minute < use.from + use.length ? use.count : 0),
              0,
            );
          const isFree = (start: number): boolean =>
            Array.from({ length: minutes }, (_, index) => usedAt(start + index)).every(
              (used) => used + need <= all,
            );
          expect(timetable.nextLeft(from, minutes, need, all)).toBe(firstMinute(from, 1000, isFree));
        },
      ),
      { numRuns: 300 },
    );
  });
  it('more than there are: never', () => {
    expect(new Timetable(1).nextLeft(0, 10, 3, 2)).toBe(Number.POSITIVE_INFINITY);
  });
  it('what is freed is as if it had never been booked; freeing what is not there changes nothing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 20 })), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.nat(),
        (list, which) => {
          const gone = which % list.length;
          const [timetable, without] = [new Timetable(list.length), new Timetable(list.length)];
          list.forEach(([from, length], step) => {
            timetable.book(step, from, from + length);
            if (step !== gone) without.book(step, from, from + length);
          });
          timetable.free(gone);
          timetable.free(99);
          expect(timetable.size).toBe(without.size);
          expect([...timetable.from.subarray(0, timetable.size)]).toEqual([
            ...without.from.subarray(0, without.size),
          ]);
          timetable.clear();
          expect(timetable.nextFree(17, 60)).toBe(17);
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('when is it open for so long?', () => {
  it('both ways of asking give the first minute within one span, as if looked for one by one', () => {
    fc.assert(
      fc.property(
        spans,
        fc.integer({ min: 0, max: HORIZON }),
        fc.integer({ min: 1, max: 30 }),
        (own, from, minutes) => {
          const times = timesOf(own);
          const wanted = firstMinute(from, HORIZON + 200, (minute) => isWithin(own, minute, minutes));
          expect(nextWithin(times, from, minutes)).toBe(wanted ?? Number.POSITIVE_INFINITY);
          const calendar = calendarOf(times, HORIZON);
          expect(openFrom(calendar, from, minutes)).toBe(wanted ?? TOO_LATE);
          expect(spansOf(times)).toEqual(own);
        },
      ),
      { numRuns: 300 },
    );
  });
  it('after the last minute planned it is too late', () => {
    expect(openFrom(calendarOf(timesOf([{ from: 0, to: 10_000 }]), HORIZON), HORIZON + 1, 5)).toBe(TOO_LATE);
  });
});

describe('how much is worked?', () => {
  it('hours of several people become one row in which somebody works, minute by minute', () => {
    fc.assert(
      fc.property(fc.array(spans, { maxLength: 4 }), (crew) => {
        const joined = workingHours(crew.map((hours) => ({ hours })));
        for (let minute = 0; minute < 400; minute += 1)
          expect(joined.some(({ from, to }) => from <= minute && minute < to)).toBe(
            crew.some((hours) => hours.some(({ from, to }) => from <= minute && minute < to)),
          );
        joined.forEach(({ from }, index) => {
          if (index > 0) expect(from).toBeGreaterThan(joined[index - 1]?.to ?? Number.NaN);
        });
      }),
      { numRuns: 60 },
    );
  });
  it('a row of sums says the same as counting', () => {
    fc.assert(
      fc.property(spans, (hours) => {
        const worked = workedBefore(hours, HORIZON);
        for (let minute = 0; minute <= HORIZON; minute += 1) {
          let counted = 0;
          for (let before = 0; before < minute; before += 1)
            if (hours.some(({ from, to }) => from <= before && before < to)) counted += 1;
          expect(worked[minute]).toBe(counted);
          expect(workingMinutes(hours, minute)).toBe(counted);
        }
      }),
      { numRuns: 30 },
    );
  });
  it('so much work of all together takes at least the time until they could have done it, all at it without a pause', () => {
    fc.assert(
      fc.property(fc.array(spans, { minLength: 1, maxLength: 3 }), (crew) => {
        const own = crew.map((hours) => workedBefore(hours, HORIZON));
        const worked = workedBefore(workingHours(crew.map((hours) => ({ hours }))), HORIZON);
        const least = leastWorked(own, worked);
        least.forEach((clock, work) => {
          const until = firstMinute(
            0,
            HORIZON,
            (minute) => own.reduce((sum, row) => sum + (row[minute] ?? 0), 0) >= work,
          );
          expect(clock).toBe(until === undefined ? Number.NaN : worked[until]);
        });
      }),
      { numRuns: 40 },
    );
  });
});

describe('which unit of a tool is free?', () => {
  it('as many as are needed, the soonest first; two tools do not touch one another', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            tool: fc.integer({ min: 0, max: 1 }),
            count: fc.integer({ min: 1, max: 3 }),
            minutes: fc.integer({ min: 1, max: 20 }),
          }),
          { maxLength: 12 },
        ),
        (uses) => {
          const counts = [3, 2];
          const units = new ToolUnits(counts, 4);
          expect(units.until).toBe(9);
          const free = new Int32Array(12);
          const apart = counts.map((count) => new Array<number>(count).fill(0));
          for (const use of uses) {
            const rows = (apart[use.tool] as number[]).sort((a, b) => a - b);
            const wanted = use.count > rows.length ? TOO_LATE : (rows[use.count - 1] ?? Number.NaN);
            expect(units.whenFree(free, 0, use)).toBe(wanted);
            if (wanted === TOO_LATE) continue;
            const until = wanted + use.minutes;
            units.take(free, 0, use, until);
            rows.fill(until, 0, use.count);
          }
          expect([...free.subarray(0, 4), ...free.subarray(9)]).toEqual([0, 0, 0, 0, 0, 0, 0]);
          expect([...free.subarray(4, 7)].sort()).toEqual([...(apart[0] ?? [])].sort());
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('rows laid end to end', () => {
  it('each row is found again', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: -1000, max: 1000 }), { maxLength: 5 }), { maxLength: 8 }),
        (rows) => {
          const { from, values } = flatRows(rows);
          rows.forEach((row, index) => {
            expect([...values.subarray(from[index], from[index + 1])]).toEqual(row);
          });
        },
      ),
    );
  });
  it('ties keep the other step and both waits; none for as long as one likes is 0', () => {
    const { from, other, least, most } = lagRows([
      [],
      [{ other: 0, least: 5, most: 60 }],
      [
        { other: 0, least: 0, most: Number.POSITIVE_INFINITY },
        { other: 1, least: 10, most: 20 },
      ],
    ]);
    expect([...from]).toEqual([0, 0, 1, 3]);
    expect([[...other], [...least], [...most]]).toEqual([
      [0, 0, 1],
      [5, 0, 10],
      [60, 0, 20],
    ]);
  });
});
