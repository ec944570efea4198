import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  afterRenderEffect,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import type { FilmAnswer } from '@yellow-pane/core/choosing';
import type { Verdict } from '@yellow-pane/core/quantity';
import type { Chart, Plugin, PointStyle } from 'chart.js';
import { Device } from '../../device/device';
import { filmWords } from '../../words/film';
import { marginOf } from './film-words';

interface Dot {
  readonly x: number;
  readonly y: number;
  readonly filmId: string;
  /** Words of what its edge will bear of what it bears. */
  readonly margin: string | undefined;
  /** The same as a share. */
  readonly used: number | undefined;
}

const STYLES: Readonly<Record<Verdict, PointStyle>> = {
  go: 'circle',
  'go with care': 'triangle',
  unknown: 'rect',
  stop: 'crossRot',
};
const ORDER: readonly Verdict[] = ['stop', 'unknown', 'go with care', 'go'];
const SHOWN: Readonly<Record<Verdict, string>> = {
  go: 'go',
  'go with care': 'go with care',
  unknown: 'unknown',
  stop: 'stop',
};

/**
 * Light kept against heat kept, a mark a film, its verdict as shape. The table beside it says the same in
 * words.
 */
@Component({
  selector: 'yp-trade-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<canvas #canvas role="img" [attr.aria-label]="words.chartSaid"></canvas>',
  host: { class: 'block relative min-h-0' },
})
export class TradeChart {
  protected readonly words = filmWords;
  readonly answers = input.required<readonly FilmAnswer[]>();
  readonly tradeOffs = input.required<ReadonlySet<string>>();
  readonly chosenId = input.required<string | undefined>();
  readonly limits = input.required<{ readonly light: number | null; readonly heatOff: number | null }>();
  readonly nameOf = input.required<(filmId: string) => string>();
  readonly picked = output<string>();
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
      for (const changes of [this.answers, this.tradeOffs, this.chosenId, this.limits, this.#theme])
        changes();
      void this.#draw(() => isGone);
    });
  }

  async #draw(isGone: () => boolean): Promise<void> {
    const { Chart, ScatterController, PointElement, LineElement, LinearScale, Tooltip } =
      await import('chart.js');
    const canvas = this.canvas().nativeElement;
    if (isGone() || canvas.getContext('2d') === null) return;
    Chart.register(ScatterController, PointElement, LineElement, LinearScale, Tooltip);
    const data = this.#datasets(getComputedStyle(canvas));
    if (this.#chart === undefined) this.#chart = this.#make(Chart, canvas, data);
    else {
      this.#chart.data.datasets = data;
      this.#chart.update('none');
    }
  }

  #make(made: typeof Chart, canvas: HTMLCanvasElement, datasets: Chart['data']['datasets']): Chart {
    const style = getComputedStyle(canvas);
    const axis = (text: string) => ({
      min: 0,
      max: 100,
      grid: { color: style.getPropertyValue('--yp-line') },
      ticks: {
        color: style.getPropertyValue('--yp-faint'),
        stepSize: 25,
        callback: (value: number | string) => `${value} %`,
      },
      title: { display: true, text, color: style.getPropertyValue('--yp-ink'), font: { size: 13 } },
    });
    return new made(canvas, {
      type: 'scatter',
      data: { datasets },
      plugins: [this.#limitShades(canvas), this.#margins(canvas)],
      options: {
        animation: false,
        maintainAspectRatio: false,
        font: { family: style.fontFamily },
        scales: { x: axis(filmWords.axisLight), y: axis(filmWords.axisHeat) },
        plugins: {
          tooltip: {
            callbacks: {
              label: (item) =>
                filmWords.markSaid(
                  this.nameOf()((item.raw as Dot).filmId),
                  Math.round(item.parsed.x ?? 0),
                  Math.round(item.parsed.y ?? 0),
                  (item.raw as Dot).margin,
                ),
            },
          },
        },
        onClick: (_event, [hit]) => {
          const dot =
            hit === undefined
              ? undefined
              : (this.#chart?.data.datasets[hit.datasetIndex]?.data[hit.index] as Dot | undefined);
          if (dot !== undefined && typeof dot === 'object' && 'filmId' in dot) this.picked.emit(dot.filmId);
        },
      },
    });
  }

  /** What misses a limit lies in the shade. */
  #limitShades(canvas: HTMLCanvasElement): Plugin {
    return {
      id: 'limits',
      beforeDatasetsDraw: ({ ctx, chartArea, scales: { x, y } }) => {
        const { light, heatOff } = this.limits();
        const { left, top, width, height } = chartArea;
        ctx.save();
        ctx.fillStyle = getComputedStyle(canvas).getPropertyValue('--yp-line');
        ctx.globalAlpha = 0.55;
        if (light !== null && x !== undefined)
          ctx.fillRect(left, top, x.getPixelForValue(light * 100) - left, height);
        if (heatOff !== null && y !== undefined)
          ctx.fillRect(left, top, width, y.getPixelForValue((1 - heatOff) * 100) - top);
        ctx.restore();
      },
    };
  }

  /** Round each mark that may go, an arc: how much of what the edge bears it will use. */
  #margins(canvas: HTMLCanvasElement): Plugin {
    return {
      id: 'margins',
      afterDatasetsDraw: (chart) => {
        const { ctx } = chart;
        ctx.save();
        ctx.lineWidth = 1.5;
        ctx.strokeStyle = getComputedStyle(canvas).getPropertyValue('--yp-faint');
        chart.data.datasets.forEach(({ label, data }, index) => {
          if (label !== SHOWN.go && label !== SHOWN['go with care']) return;
          chart.getDatasetMeta(index).data.forEach(({ x, y }, at) => {
            const { used } = data[at] as Dot;
            if (used === undefined) return;
            ctx.beginPath();
            ctx.arc(x, y, 9, -Math.PI / 2, -Math.PI / 2 + 2 * Math.PI * Math.min(1, used));
            ctx.stroke();
          });
        });
        ctx.restore();
      },
    };
  }

  #datasets(style: CSSStyleDeclaration): Chart['data']['datasets'] {
    const colours: Readonly<Record<Verdict, string>> = {
      go: style.getPropertyValue('--yp-go'),
      'go with care': style.getPropertyValue('--yp-care'),
      unknown: style.getPropertyValue('--yp-faint'),
      stop: style.getPropertyValue('--yp-stop'),
    };
    const dot = (answer: FilmAnswer): Dot[] => {
      const { filmId, performance, edge } = answer;
      if (performance === null) return [];
      const [x, y] = [performance.lightKept.value * 100, performance.heatKept.value * 100];
      const used = edge?.bears == null ? undefined : edge.stress_MPa / edge.bears.low_MPa;
      return [{ x, y, filmId, margin: marginOf(answer), used }];
    };
    const front = this.answers()
      .filter(({ filmId }) => this.tradeOffs().has(filmId))
      .flatMap(dot)
      .sort((a, b) => a.x - b.x);
    const chosen = this.answers()
      .filter(({ filmId }) => filmId === this.chosenId())
      .flatMap(dot);
    return [
      {
        label: 'chosen',
        data: chosen,
        pointStyle: 'circle',
        pointRadius: 12,
        borderColor: style.getPropertyValue('--yp-ink'),
        borderWidth: 2.5,
        backgroundColor: 'transparent',
      },
      ...ORDER.map((verdict) => ({
        label: SHOWN[verdict],
        data: this.answers()
          .filter((answer) => answer.verdict === verdict)
          .flatMap(dot),
        pointStyle: STYLES[verdict],
        pointRadius: 6,
        pointHoverRadius: 8,
        borderColor: colours[verdict],
        backgroundColor: verdict === 'unknown' ? 'transparent' : colours[verdict],
        borderWidth: 2,
      })),
      {
        label: filmWords.nothingBeats,
        data: front,
        showLine: true,
        pointRadius: 0,
        pointHitRadius: 0,
        borderColor: style.getPropertyValue('--yp-line-strong'),
        borderWidth: 1.5,
        borderDash: [5, 4],
      },
    ];
  }
}
