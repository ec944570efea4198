import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { type DeviceMessage, plotterStateSchema } from '@yellow-pane/contracts';
import fc from 'fast-check';
import { Refusal } from '../../http/refusal';
import { readHpgl } from './hpgl-reader';
import { LaserStandIn } from './laser';
import { PlotterStandIn } from './plotter';

const ETX = '\u0003';
type Line = readonly (readonly [number, number])[];
/**
 * HP-GL as a page sends it: a label for each piece, then its lines with the knife down. Steps of 0.025 mm.
 */
const hpglOf = (pieces: readonly { readonly name: string; readonly lines: readonly Line[] }[]): string =>
  [
    'IN;PA;',
    ...pieces.map(
      ({ name, lines }) =>
        `SP2;LB${name}${ETX};SP1;${lines.map(([[x, y] = [0, 0], ...rest]) => `PU${x * 40},${y * 40};PD${rest.map(([a, b]) => `${a * 40},${b * 40}`).join(',')};`).join('')}`,
    ),
    'PU;SP0;',
  ].join('');
const box = (x: number, y: number, along: number, across: number): Line => [
  [x, y],
  [x + along, y],
  [x + along, y + across],
  [x, y + across],
  [x, y],
];

describe('what does the plotter make of HP-GL?', () => {
  it('pieces by their labels, lines in millimetres, 40 steps to one', () => {
    expect(
      readHpgl(
        hpglOf([
          { name: 'SW1', lines: [box(0, 0, 100, 50)] },
          {
            name: 'SW2',
            lines: [
              [
                [10, 5],
                [20, 5],
              ],
              [
                [0, 0],
                [0, 9],
              ],
            ],
          },
        ]),
      ),
    ).toEqual([
      { name: 'SW1', lines: [box(0, 0, 100, 50)] },
      {
        name: 'SW2',
        lines: [
          [
            [10, 5],
            [20, 5],
          ],
          [
            [0, 0],
            [0, 9],
          ],
        ],
      },
    ]);
  });
  it('only pen 1 is the knife: what another pen draws is not cut', () => {
    expect(readHpgl(`LBa${ETX};SP2;PU0,0;PD400,0;SP1;PU0,0;PD0,400;`)).toEqual([
      {
        name: 'a',
        lines: [
          [
            [0, 0],
            [0, 10],
          ],
        ],
      },
    ]);
  });
  it('a knife that is down stays down from one instruction to the next', () => {
    expect(readHpgl(`SP1;PU40,40;PD80,40;PD80,80;PU;`)).toEqual([
      {
        name: '',
        lines: [
          [
            [1, 1],
            [2, 1],
            [2, 2],
          ],
        ],
      },
    ]);
  });
  it('small letters, blanks and line ends are as good', () => {
    expect(readHpgl('in;\r\n sp1; pu0 0;\n pd40 0;')).toEqual(readHpgl('IN;SP1;PU0,0;PD40,0;'));
  });
  it('a label may hold what would be an instruction; it ends where it ends', () => {
    expect(readHpgl(`LBPD0,0;PU9;${ETX};SP1;PU0,0;PD40,0;`)).toEqual([
      {
        name: 'PD0,0;PU9;',
        lines: [
          [
            [0, 0],
            [1, 0],
          ],
        ],
      },
    ]);
  });
  it.each([
    ['CI100;', 'instruction "CI"'],
    [`LBnever ends`, 'a label without an end'],
    ['SP1;PD1,2,3;', 'coordinates "1,2,3"'],
    ['SP1;PDx,1;', 'coordinates "x,1"'],
  ])('%s is refused by name', (text, word) => {
    expect(() => readHpgl(text)).toThrow(new RangeError(word));
  });
  it('any lines written are read again to a fortieth of a millimetre', () => {
    const point = fc
      .tuple(fc.integer({ min: 0, max: 400_000 }), fc.integer({ min: 0, max: 60_000 }))
      .map(([x, y]): readonly [number, number] => [x / 40, y / 40]);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: fc.stringMatching(/^[A-Z0-9 ;,.]{0,12}$/),
            lines: fc.array(fc.array(point, { minLength: 2, maxLength: 6 }), { maxLength: 4 }),
          }),
          { maxLength: 5 },
        ),
        (pieces) => {
          const read = readHpgl(hpglOf(pieces));
          expect(read.map(({ name, lines }) => [name, lines.length])).toEqual(
            pieces.map(({ name, lines }) => [name, lines.length]),
          );
          read.forEach((piece, at) => {
            piece.lines.forEach((line, of) => {
              line.forEach(([x, y], index) => {
                const [a, b] = pieces[at]?.lines[of]?.[index] ?? [NaN, NaN];
                expect(Math.hypot(x - a, y - b)).toBeLessThan(1e-9);
              });
            });
          });
        },
      ),
      { numRuns: 100 },
    );
  });
  it('any text at all is read or refused in words; nothing else happens', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc
            .array(fc.constantFrom('PU', 'PD', 'SP1', 'LB', ETX, ';', '1', ',', '-', '.', ' ', 'IN'))
            .map((parts) => parts.join('')),
        ),
        (text) => {
          try {
            expect(Array.isArray(readHpgl(text))).toBe(true);
          } catch (error) {
            expect(error).toBeInstanceOf(RangeError);
          }
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('does it cut as a plotter would?', () => {
  beforeEach(() => {
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  const two = [
    { name: 'SW1', lines: [box(0, 0, 1000, 400)] },
    { name: 'SW2', lines: [box(1000, 0, 800, 400)] },
    { name: 'SW3', lines: [box(1800, 0, 500, 300)] },
  ];
  const loaded = (times = 1): { readonly plotter: PlotterStandIn; readonly heard: DeviceMessage[] } => {
    const plotter = new PlotterStandIn();
    const heard: DeviceMessage[] = [];
    plotter.listen((message) => {
      heard.push(message);
    });
    plotter.obey({ do: 'connect' });
    plotter.obey({ do: 'load', width_mm: 1524, length_mm: 3000 });
    plotter.obey({ do: 'speed', times });
    return { plotter, heard };
  };
  const refusal = (act: () => void): string => {
    try {
      act();
      return 'nothing refused';
    } catch (error) {
      return error instanceof Refusal ? error.message : String(error);
    }
  };

  it('takes the time its knife takes: 2.8 m at 400 mm a second, and a moment to settle', async () => {
    const { plotter } = loaded();
    plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
    await jest.advanceTimersByTimeAsync(7119);
    expect(plotter.state.job).toMatchObject({ done: 0, of: 3, state: 'running' });
    await jest.advanceTimersByTimeAsync(2);
    expect(plotter.state.job).toMatchObject({ done: 1, state: 'running' });
    await jest.advanceTimersByTimeAsync(60_000);
    expect(plotter.state.job).toMatchObject({ done: 3, of: 3, state: 'done', stoppedIn: null });
  });
  it('ten times as fast when told so; what it did and does is told to who listens, and is what the contract says', async () => {
    const { plotter, heard } = loaded(10);
    plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
    await jest.advanceTimersByTimeAsync(713);
    expect(plotter.state.job?.done).toBe(1);
    await jest.advanceTimersByTimeAsync(10_000);
    expect(
      heard.map((message) => (message.type === 'job' ? `${message.done} ${message.state}` : message.type)),
    ).toEqual(['connected', '0 running', '1 running', '2 running', '3 done']);
    expect(plotterStateSchema.parse(plotter.state)).toEqual(plotter.state);
    expect(plotter.state.drawn).toEqual(two.flatMap(({ lines }) => lines));
  });
  it('nothing connected, nothing loaded, something running: refused with what is wanted', () => {
    const plotter = new PlotterStandIn();
    const cut = (): void => {
      plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
    };
    expect(refusal(cut)).toBe('DEVICE_NOT_CONNECTED at plotter');
    plotter.obey({ do: 'connect' });
    expect(refusal(cut)).toBe('PLOTTER_REFUSED at plotter');
    plotter.obey({ do: 'load', width_mm: 1524, length_mm: 3000 });
    cut();
    expect(refusal(cut)).toBe('PLOTTER_REFUSED at plotter');
    expect(
      refusal(() => {
        plotter.obey({ do: 'load', width_mm: 1524, length_mm: 3000 });
      }),
    ).toBe('PLOTTER_REFUSED at plotter');
  });
  it('what lies beyond the film is refused before anything is cut: across, along, and before its beginning', () => {
    for (const lines of [[box(0, 0, 100, 1525)], [box(0, 0, 3001, 100)], [box(-1, 0, 100, 100)]]) {
      const { plotter } = loaded();
      expect(
        refusal(() => {
          plotter.obey({ do: 'cut', key: 'r', hpgl: hpglOf([{ name: 'A', lines }]), from: 0 });
        }),
      ).toBe('PLOTTER_REFUSED at plotter');
      expect(plotter.state).toMatchObject({ job: null, drawn: [] });
    }
    const { plotter } = loaded();
    plotter.obey({
      do: 'cut',
      key: 'r',
      hpgl: hpglOf([{ name: 'A', lines: [box(0, 0, 3000, 1524)] }]),
      from: 0,
    });
    expect(plotter.state.job?.state).toBe('running');
  });
  it.each([
    ['jam', 'the film jammed', true],
    ['run out of film', 'no more film', true],
    ['unplug', 'the plug was pulled', false],
  ] as const)('%s in the second piece: it stops half way and says so', async (how, says, isConnected) => {
    const { plotter, heard } = loaded(100);
    plotter.obey({ do: 'misbehave', how, afterPieces: 1 });
    plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
    await jest.advanceTimersByTimeAsync(60_000);
    expect(plotter.state).toMatchObject({
      isConnected,
      job: { done: 1, of: 3, state: 'stopped', stoppedIn: 1, says },
    });
    expect(plotter.state.drawn).toHaveLength(2);
    expect(plotter.state.drawn[1]?.length).toBeLessThan(box(0, 0, 1, 1).length);
    expect(
      heard.some(
        (message) =>
          (isConnected ? message.type === 'fault' : message.type === 'disconnected') &&
          'says' in message &&
          message.says === says,
      ),
    ).toBe(true);
  });
  it('goes on from the piece it stopped in, after a wait of a night; the pieces before are not cut twice', async () => {
    const { plotter } = loaded(100);
    plotter.obey({ do: 'misbehave', how: 'jam', afterPieces: 1 });
    plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
    await jest.advanceTimersByTimeAsync(12 * 3_600_000);
    expect(
      refusal(() => {
        plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
      }),
    ).toBe('PLOTTER_REFUSED at plotter');
    plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two.slice(2)), from: 2 });
    await jest.advanceTimersByTimeAsync(60_000);
    expect(plotter.state).toMatchObject({ job: { done: 3, of: 3, state: 'done' }, cutTwice_mm: 0 });
  });
  it('the same roll cut again from its beginning shows what was cut twice, to the millimetre', async () => {
    const { plotter } = loaded(100);
    for (const key of ['r1', 'r2']) {
      plotter.obey({ do: 'cut', key, hpgl: hpglOf(two.slice(0, 1)), from: 0 });
      await jest.advanceTimersByTimeAsync(60_000);
    }
    expect(plotter.state.cutTwice_mm).toBeCloseTo(2800, 6);
    plotter.obey({ do: 'load', width_mm: 1524, length_mm: 3000 });
    expect(plotter.state).toMatchObject({ cutTwice_mm: 0, drawn: [], job: null });
  });
  it('switched off while it cuts: it stops there; later time cuts nothing more', async () => {
    const { plotter } = loaded();
    plotter.obey({ do: 'cut', key: 'r1', hpgl: hpglOf(two), from: 0 });
    await jest.advanceTimersByTimeAsync(8000);
    plotter.obey({ do: 'disconnect' });
    await jest.advanceTimersByTimeAsync(60_000);
    expect(plotter.state).toMatchObject({
      isConnected: false,
      job: { done: 1, state: 'stopped', stoppedIn: 1, says: 'switched off' },
    });
    expect(plotter.state.drawn).toHaveLength(1);
  });
  it('who comes later is told that it is there; who has gone is told nothing', () => {
    const { plotter } = loaded();
    const heard: string[] = [];
    const stop = plotter.listen(({ type }) => {
      heard.push(type);
    });
    stop();
    plotter.obey({ do: 'disconnect' });
    expect(heard).toEqual(['connected']);
  });
});

describe('does the laser measure as a laser would?', () => {
  const readings = async (count: number, aimedAt_mm: number, seed: number): Promise<readonly number[]> => {
    const laser = new LaserStandIn(() => new Date(0), seed, 0);
    const found: number[] = [];
    laser.listen((message) => {
      if (message.type === 'reading') found.push(message.value_nm / 1e6);
    });
    for (let turn = 0; turn < count; turn += 1) {
      await laser.obey({ do: 'connect' });
      laser.charge();
      await laser.obey({ do: 'measure', aimedAt_mm, from: 'tl', to: 'tr' });
    }
    return found;
  };

  it('within its 1.5 mm, but for about one reading in fifty that is wrong by 4 to 30 cm', async () => {
    const found = await readings(1500, 2140, 5);
    const good = found.filter((value) => Math.abs(value - 2140) < 12);
    const mean = good.reduce((sum, value) => sum + value, 0) / good.length;
    const sd = Math.sqrt(good.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (good.length - 1));
    expect(mean).toBeCloseTo(2140, 0);
    expect(sd).toBeGreaterThan(1.3);
    expect(sd).toBeLessThan(1.7);
    const wrong = found.filter((value) => Math.abs(value - 2140) >= 12);
    expect(wrong.length / found.length).toBeGreaterThan(0.008);
    expect(wrong.length / found.length).toBeLessThan(0.04);
    for (const value of wrong) {
      expect(Math.abs(value - 2140)).toBeGreaterThan(34);
      expect(Math.abs(value - 2140)).toBeLessThan(306);
    }
  });
  it('tenths of a millimetre, as it shows them; the same seed reads the same', async () => {
    const found = await readings(40, 1180, 9);
    for (const value of found) expect(Math.abs(value * 10 - Math.round(value * 10))).toBeLessThan(1e-6);
    expect(await readings(40, 1180, 9)).toEqual(found);
  });
  it('the pane on the Bench is read between the points asked for: a lean of 4 mm makes the diagonals differ', async () => {
    const between = async (from: 'tl' | 'tr', to: 'br' | 'bl'): Promise<number> => {
      const laser = new LaserStandIn(() => new Date(0), 3, 0);
      const found: number[] = [];
      laser.listen((message) => {
        if (message.type === 'reading') found.push(message.value_nm / 1e6);
      });
      for (let turn = 0; turn < 60; turn += 1) {
        await laser.obey({ do: 'connect' });
        laser.charge();
        await laser.obey({ do: 'measure', from, to });
      }
      return [...found].sort((a, b) => a - b)[Math.floor(found.length / 2)] ?? Number.NaN;
    };
    expect(await between('tl', 'br')).toBeCloseTo(Math.hypot(1184, 2140), -0.5);
    expect(await between('tr', 'bl')).toBeCloseTo(Math.hypot(1176, 2140), -0.5);
  });
  it('not connected it reads nothing; an empty battery ends it', async () => {
    const laser = new LaserStandIn(() => new Date(0), 1, 0);
    await expect(laser.obey({ do: 'measure', from: 'tl', to: 'tr' })).rejects.toThrow(
      'DEVICE_NOT_CONNECTED at laser',
    );
    const heard: string[] = [];
    laser.listen((message) => {
      if (message.type === 'disconnected') heard.push(message.says);
    });
    await laser.obey({ do: 'connect' });
    await laser.obey({ do: 'misbehave', how: 'low battery' });
    for (let turn = 0; turn < 60 && !heard.includes('battery empty'); turn += 1) {
      if (!laser.state.isConnected) await laser.obey({ do: 'connect' });
      await laser.obey({ do: 'measure', from: 'tl', to: 'tr' });
    }
    expect(heard).toContain('battery empty');
  });
});
