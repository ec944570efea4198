import { chromium } from '@playwright/test';
import type { Op } from '@yellow-pane/contracts';
import { NEW_MARK, NEW_PHOTO } from '@yellow-pane/core/job';
import { type Pin, RULE_SETS, USUAL_LUMINANCE, decideMarks } from '@yellow-pane/core/judging';
import { lookedAt, pieceKey, roundOf } from '@yellow-pane/core/looking';
import { seededRandom } from '@yellow-pane/core/quantity';
import { cutOut } from '@yellow-pane/core/strokes';
import sharp from 'sharp';
import { v7 as newId } from 'uuid';
import { CHROMIUM } from '../scripts/browser';
import { type RunningServer, startServer } from '../scripts/running-server';
import { median, ms, quantile } from './figures';
import type { Row } from './run';

const JOB = '0199b9a6-0003-7000-8000-000000000001';
const SURFACE = '0199b9a6-0007-7000-8000-000000000001';
const RUNS = 15;
const PINS = 500;
const PHOTOS = 200;
const FRAME_MS = 1000 / 60;
/** A hall's glazing: twenty strips of a third of a metre, three views. */
const FACE = cutOut(
  [
    { x: 0, y: 0 },
    { x: 2400, y: 0 },
    { x: 2400, y: 5150 },
    { x: 0, y: 5150 },
  ],
  [],
);

/** A round and its marks: how fast, and how smoothly a mark is dragged among hundreds. */
export async function checkRows(): Promise<readonly Row[]> {
  return [coverage(), ...[500, 2000].map(decisions), ...(await onThePage())];
}

function timesOf(run: () => unknown): readonly number[] {
  return Array.from({ length: RUNS }, () => {
    const begin = performance.now();
    run();
    return performance.now() - begin;
  });
}

function coverage(): Row {
  const asked = { face: FACE, distance_mm: 1830, isDark: false };
  const pieces = roundOf(asked).filter(({ view }) => view !== 'edges');
  const ticked = new Set(pieces.map(pieceKey).slice(0, -1));
  const time = median(timesOf(() => lookedAt(asked, ticked)));
  return {
    what: `what was looked at, ${pieces.length} strips, exact, median`,
    wanted: 'at most 100 ms, goal 15',
    got: ms(time),
    isMet: time <= 100,
  };
}

function decisions(count: number): Row {
  const random = seededRandom(26);
  const pins = Array.from({ length: count }, (_, index): Pin => ({
    ...{ id: String(index), look: 'speck', x: 2400 * random(), y: 5150 * random(), length_mm: null },
    ...{ size_mm: 0.3 + 2 * random(), isMoisture: 'no', isNewInGlass: 'no' },
  }));
  const set = RULE_SETS.find(({ name }) => name === 'laminated glass kind');
  if (set === undefined) throw new Error('no rules');
  const asked = { face: FACE, pins, set, mayDry: false, luminance: USUAL_LUMINANCE };
  const time = median(timesOf(() => decideMarks(asked)));
  return {
    what: `${count} marks of one pane judged together, median`,
    wanted: 'nothing named',
    got: ms(time),
    isMet: true,
  };
}

async function onThePage(): Promise<readonly Row[]> {
  const server = await startServer({ isDemo: true });
  const browser = await chromium.launch(CHROMIUM);
  try {
    await fill(server);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(() => {
      localStorage.setItem(
        'yellow-pane.device',
        JSON.stringify({ who: 'Wren', units: 'metric', theme: 'noon' }),
      );
    });
    let pictures = 0;
    page.on('request', (request) => {
      if (/\/photos\//.test(request.url())) pictures += 1;
    });
    await page.goto(`${server.address}/jobs/${JOB}/check/${SURFACE}`);
    await page.getByRole('img', { name: /^SW1: 500 marks/ }).waitFor();
    await page.waitForTimeout(2000);
    const loaded = pictures;
    const box = await page.locator('[data-pin="1"]').boundingBox();
    if (box === null) throw new Error('no pin');
    await page.evaluate(
      'window.frames_ = []; requestAnimationFrame(function note(at) { window.frames_.push(at); requestAnimationFrame(note); });',
    );
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    for (let step = 1; step <= 90; step += 1) await page.mouse.move(box.x + step, box.y + step);
    const frames = await page.evaluate<readonly number[]>('window.frames_');
    await page.mouse.up();
    const between = frames.slice(1).map((at, index) => at - (frames[index] ?? at));
    const slow = quantile(between, 0.95);
    return [
      {
        what: `a mark dragged among ${PINS}: time between frames, 19 of 20 under`,
        wanted: 'a frame of 60 a second',
        got: ms(slow),
        isMet: slow <= 1.5 * FRAME_MS,
      },
      {
        what: `a job with ${PHOTOS} pictures opened at Check: pictures fetched`,
        wanted: 'not all of them',
        got: String(loaded),
        isMet: loaded < PHOTOS / 10,
      },
    ];
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** Marks all over the first pane, and pictures on the first of them. */
async function fill(server: RunningServer): Promise<void> {
  const random = seededRandom(3);
  const at = '2026-11-24T09:20:00.000Z';
  const marks = Array.from({ length: PINS }, (_, n): Op => ({
    ...{ op: 'put', table: 'mark', id: newId() },
    fields: {
      ...{ ...NEW_MARK, surfaceId: SURFACE, firstSeenAt: at, from: 'check', look: 'speck' },
      ...{ x_nm: Math.round((20 + 1100 * random()) * 1e6), y_nm: Math.round((20 + 2000 * random()) * 1e6) },
      size_nm: 1_000_000 + n,
    },
  }));
  const picture = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#88a' } })
    .jpeg()
    .toBuffer();
  const photos: Op[] = [];
  for (let n = 0; n < PHOTOS; n += 1) {
    const id = newId();
    await fetch(`${server.address}/api/jobs/${JOB}/photos/${id}`, {
      method: 'PUT',
      body: new Uint8Array(picture),
    });
    photos.push({
      ...{ op: 'put', table: 'photo', id },
      fields: {
        ...{ ...NEW_PHOTO, surfaceId: SURFACE, markId: marks[n % 20]?.id ?? null, takenAt: at },
        ...{ width_px: 400, height_px: 300, bytes: picture.length, position: n },
      },
    });
  }
  const ops = [...marks, ...photos];
  for (let start = 0; start < ops.length; start += 100) {
    const answer = await fetch(`${server.address}/api/jobs/${JOB}/changes`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({
        ...{ id: newId(), session: newId(), who: 'Wren' },
        ops: ops.slice(start, start + 100),
      }),
    });
    if (!answer.ok) throw new Error(await answer.text());
  }
}
