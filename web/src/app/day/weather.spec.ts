import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { ApplicationRef } from '@angular/core';
import { demoOps } from '@yellow-pane/demo';
import { BenchThermometer } from '../instruments/bench-thermometer';
import { api } from '../server/api';
import { openJob } from '../testing/open-job';
import { JobDesk } from '../job/job-desk';
import { Weather } from './weather';

const DEMO = demoOps();
const NO_THERMOMETER = {
  air: () => undefined,
  listen: () => undefined,
  look: () => Promise.resolve(),
};

describe('is the forecast asked for as soon as it can be?', () => {
  afterEach(() => {
    jest.restoreAllMocks();
    jest.useRealTimers();
  });
  it('who asks before the job is there has it once the place is known, not ten minutes later', async () => {
    jest.useFakeTimers();
    const asked = jest
      .spyOn(api, 'weather')
      .mockImplementation(() => Promise.resolve({ issuedAt: '2026-11-24T06:00:00Z', hours: [] } as never));
    const job = openJob([], [], [{ provide: BenchThermometer, useValue: NO_THERMOMETER }]);
    const weather = job.get(Weather);
    weather.begin();
    job.get(ApplicationRef).tick();
    expect(asked).not.toHaveBeenCalled();
    job.get(JobDesk).do('the job comes', DEMO);
    job.get(ApplicationRef).tick();
    await Promise.resolve();
    expect(asked).toHaveBeenCalledTimes(1);
    expect(weather.forecast()).toBeDefined();
    job.end();
  });
});
