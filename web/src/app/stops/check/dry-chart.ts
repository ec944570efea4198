import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  afterRenderEffect,
  inject,
  input,
  viewChild,
} from '@angular/core';
import type { Chart } from 'chart.js';
import { Device } from '../../device/device';
import { datesWords } from '../../words/dates';

/** Shares of water left under a film and of bond reached, so many days after the laying on. */
export interface DryPoint {
  readonly day: number;
  /** Shares. */
  readonly water: number;
  readonly pocket: number;
  readonly bond: number;
}

const PERCENT = 100;

/** Water left under a film and bond reached, day by day. The list beside it says the dates in words. */
@Component({
  selector: 'yp-dry-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<canvas #canvas role="img" [attr.aria-label]="words.chartOfDrying"></canvas>',
  host: { class: 'block relative h-56' },
})
export class DryChart {
  protected readonly words = datesWords;
  readonly points = input.required<readonly DryPoint[]>();
  protected readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  readonly #theme = inject(Device).theme;
  #chart: Chart | undefined;

  constructor() {
    let isGone = false;
    inject(DestroyRef).onDestroy(() => {
      isGone = true;
      this.#chart?.destroy();
    });
    afterRenderEffect(() => {
      for (const changes of [this.points, this.#theme]) changes();
      void this.#draw(() => isGone);
    });
  }

  async #draw(isGone: () => boolean): Promise<void> {
    const { Chart, LineController, PointElement, LineElement, LinearScale, Legend, Tooltip } =
      await import('chart.js');
    const canvas = this.canvas().nativeElement;
    if (isGone() || canvas.getContext('2d') === null) return;
    Chart.register(LineController, PointElement, LineElement, LinearScale, Legend, Tooltip);
    const style = getComputedStyle(canvas);
    const [ink, faint, line] = ['--yp-ink', '--yp-faint', '--yp-line'].map((name) =>
      style.getPropertyValue(name),
    );
    const lineOf = (label: string, of: (point: DryPoint) => number, dash: readonly number[]) => ({
      label,
      data: this.points().map((point) => ({ x: point.day, y: PERCENT * of(point) })),
      ...{ borderColor: ink ?? '', borderWidth: 2, borderDash: [...dash], pointRadius: 0 },
    });
    const axis = (text: string) => ({
      type: 'linear' as const,
      min: 0,
      grid: { color: line ?? '' },
      ticks: { color: faint ?? '', maxTicksLimit: 8 },
      title: { display: true, text, color: ink ?? '' },
    });
    this.#chart?.destroy();
    this.#chart = new Chart(canvas, {
      type: 'line',
      data: {
        datasets: [
          lineOf(datesWords.waterLeft, ({ water }) => water, []),
          lineOf(datesWords.pocketLeft, ({ pocket }) => pocket, [2, 3]),
          lineOf(datesWords.bondReached, ({ bond }) => bond, [6, 4]),
        ],
      },
      options: {
        animation: false,
        maintainAspectRatio: false,
        font: { family: style.fontFamily },
        scales: { x: axis(datesWords.daysAfter), y: { ...axis(datesWords.percent), max: PERCENT } },
        plugins: { legend: { labels: { color: ink ?? '' } } },
      },
    });
  }
}
