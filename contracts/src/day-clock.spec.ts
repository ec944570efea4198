import { describe, expect, it } from '@jest/globals';
import type { CrewMember } from '@yellow-pane/core/job';
import { DayClock } from './day-clock';

const clockFrom = (
  firstDay: string,
  more: Partial<ConstructorParameters<typeof DayClock>[0]> = {},
): DayClock => new DayClock({ firstDay, days: 7, zone: 'Europe/Zurich', restDays: [], ...more });
const wren: CrewMember = {
  name: 'Wren',
  personId: null,
  begins: 450,
  ends: 1020,
  breakBegins: 720,
  breakEnds: 765,
  position: 1,
};

describe('whose clock is it?', () => {
  it('that of the place, whatever the zone of the machine: hour and midnight, in winter and summer', () => {
    const clock = clockFrom('2026-03-28');
    const winter = Date.parse('2026-03-28T12:30:00+01:00');
    const summer = Date.parse('2026-03-29T12:30:00+02:00');
    expect([clock.dayHourOf(winter), clock.dayHourOf(summer)]).toEqual([12.5, 12.5]);
    expect(clock.midnightOf(winter)).toBe(Date.parse('2026-03-28T00:00:00+01:00'));
    expect(clock.midnightOf(summer)).toBe(Date.parse('2026-03-29T00:00:00+01:00'));
    expect(clock.hourOf(summer)).toBe('12:30');
    expect(clock.momentOf('2026-03-28T23:30:00Z')).toBe('29 Mar 2026, 00:30');
    expect(clock.dateOf('2026-03-28T23:30:00Z')).toBe('29 March 2026');
  });
});

describe("what o'clock is it in the plan?", () => {
  it('a minute of the plan is an instant and a time of the place, there and back', () => {
    const clock = clockFrom('2026-11-26');
    expect(clock.instantOf(450)).toBe('2026-11-26T06:30:00.000Z');
    expect(clock.minuteOf(Date.parse('2026-11-26T06:30:00Z'))).toBe(450);
    expect(clock.clock(450)).toBe('07:30');
    expect(clock.clock(1440 + 450)).toBe('Fri 07:30');
    expect(clock.clock(-600)).toBe('Wed 14:00');
  });
  it('the clocks go back in the night of 25 October: that day is 25 hours long and work still begins at half past seven', () => {
    const clock = clockFrom('2026-10-24');
    expect(clock.dayStarts.slice(0, 4)).toEqual([0, 1440, 1440 + 1500, 2880 + 1500]);
    const begins = clock
      .hoursOf(wren)
      .filter((_, index) => index % 2 === 0)
      .map(({ from }) => clock.instantOf(from));
    expect(begins.slice(0, 3)).toEqual([
      '2026-10-24T05:30:00.000Z',
      '2026-10-25T06:30:00.000Z',
      '2026-10-26T06:30:00.000Z',
    ]);
    for (const { from, to } of clock.hoursOf(wren)) expect([270, 255]).toContain(to - from);
  });
  it('of a first day of 25 hours the last one is still today, and asked again it is said alike', () => {
    const clock = clockFrom('2026-10-25');
    const said = (): readonly string[] => [
      clock.clock(1440),
      clock.clock(1499),
      clock.clock(1500),
      clock.hour(1500),
      clock.date(1499),
      clock.date(1500),
    ];
    const words = ['23:00', '23:59', 'Mon 00:00', '00:00', '25 Oct', '26 Oct'];
    expect(said()).toEqual(words);
    expect(said()).toEqual(words);
  });
  it('they go forward on 29 March: 23 hours, and the hour that is not there is no trouble', () => {
    const clock = clockFrom('2026-03-28');
    expect(clock.dayStarts.slice(0, 3)).toEqual([0, 1440, 1440 + 1380]);
    expect(
      clock
        .hoursOf({ ...wren, begins: 120, ends: 240, breakBegins: 0, breakEnds: 0 })
        .every(({ from, to }) => to >= from),
    ).toBe(true);
  });
});

describe('when does somebody work?', () => {
  it('not on days of rest, wherever the plan begins', () => {
    const clock = clockFrom('2026-11-26', { restDays: [6, 7] });
    const days = new Set(clock.hoursOf(wren).map(({ from }) => clock.shortDay(Math.floor(from / 1440))));
    expect([...days]).toEqual(['Thu 26', 'Fri 27', 'Mon 30', 'Tue 1', 'Wed 2']);
    expect([0, 1, 2, 3, 4].map((day) => clock.isRestDay(day))).toEqual([false, false, true, true, false]);
  });
  it('in one piece without a break, in two with one; whoever ends before beginning does not work', () => {
    const clock = clockFrom('2026-11-26', { days: 1 });
    expect(clock.hoursOf(wren)).toEqual([
      { from: 450, to: 720 },
      { from: 765, to: 1020 },
    ]);
    expect(clock.hoursOf({ ...wren, breakBegins: 0, breakEnds: 0 })).toEqual([{ from: 450, to: 1020 }]);
    expect(clock.hoursOf({ ...wren, begins: 1020, ends: 450 })).toEqual([]);
  });
  it('other days of rest are another clock', () => {
    expect(clockFrom('2026-11-26', { restDays: [7, 6] }).restWord).toBe(
      clockFrom('2026-11-26', { restDays: [6, 7] }).restWord,
    );
    expect(clockFrom('2026-11-26', { restDays: [7] }).restWord).not.toBe(clockFrom('2026-11-26').restWord);
  });
});
