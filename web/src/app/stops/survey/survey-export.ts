import { Injectable, inject } from '@angular/core';
import {
  type BroughtSurface,
  type DrawnSurface,
  type SurveyFile,
  SURVEY_TABLES,
  surveyCsv,
  surveySvg,
} from '@yellow-pane/contracts/survey-files';
import { type RowOf, fieldsOfRow, lookFrom } from '@yellow-pane/core/job';
import { viewOutline, outlineOfCheck } from '@yellow-pane/core/measure';
import { saveFile } from '../../device/save-file';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { SurveyFilesPool } from '../../workers/survey-files-pool';

type AnyRow = Readonly<Record<string, unknown>> & { readonly id: string };

const TYPES = {
  csv: 'text/csv',
  json: 'application/json',
  dxf: 'image/vnd.dxf',
  svg: 'image/svg+xml',
} as const;
export type ExportKind = keyof typeof TYPES;

/** Takes surfaces out of the program, each form documented in docs/formats.md. */
@Injectable({ providedIn: 'root' })
export class SurveyExport {
  readonly #reading = inject(JobReading);
  readonly #desk = inject(JobDesk);
  readonly #pool = inject(SurveyFilesPool);

  /** @returns how many surfaces went out */
  async save(kind: ExportKind, surfaces: readonly RowOf<'surface'>[]): Promise<number> {
    const drawn = kind === 'dxf' || kind === 'svg' ? this.#drawn(surfaces) : [];
    const text =
      kind === 'csv'
        ? this.#csv(surfaces)
        : kind === 'json'
          ? JSON.stringify(this.#file(), null, 1)
          : kind === 'dxf'
            ? await this.#pool.drawing(drawn)
            : surveySvg(drawn);
    saveFile(
      `${(this.#reading.job()?.name ?? 'survey').replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'survey'}.${kind}`,
      TYPES[kind],
      text,
    );
    return kind === 'csv' || kind === 'json' ? surfaces.length : drawn.length;
  }

  #csv(surfaces: readonly RowOf<'surface'>[]): string {
    return surveyCsv(surfaces.map((surface) => this.#brought(surface)));
  }

  #brought({
    id,
    tag,
    name,
    placeId,
    kind,
    shape,
    corners,
    seenFrom,
    remark,
  }: RowOf<'surface'>): BroughtSurface {
    return {
      tag,
      name,
      kind,
      shape,
      corners,
      seenFrom,
      remark,
      place: this.#reading.placeById().get(placeId)?.name ?? '',
      measures: this.#reading
        .measuresOf(id)
        .map(({ kind: measureKind, fromPoint, toPoint, text, unit, value_nm, instrument, sd_nm }) => ({
          kind: measureKind,
          from: fromPoint,
          to: toPoint,
          text,
          unit,
          value_nm,
          instrument,
          sd_nm,
        })),
    };
  }

  #file(): SurveyFile {
    const view = this.#desk.view();
    const rows = Object.fromEntries(
      SURVEY_TABLES.map((table) => [
        table,
        Object.values(view[table].entities as Readonly<Record<string, AnyRow | undefined>>).flatMap((row) =>
          row === undefined ? [] : [{ id: row.id, ...fieldsOfRow(row) }],
        ),
      ]),
    );
    return {
      format: 'yellow-pane survey',
      version: 1,
      name: this.#reading.job()?.name ?? '',
      rows: rows as unknown as SurveyFile['rows'],
    };
  }

  /** As seen from outside or side A, so that all lie the same way round. */
  #drawn(surfaces: readonly RowOf<'surface'>[]): readonly DrawnSurface[] {
    return surfaces.flatMap((surface): DrawnSurface[] => {
      const check = this.#reading.checkOf(surface.id);
      const outline = outlineOfCheck(check);
      if (outline === undefined || !('figure' in check)) return [];
      const look = lookFrom(surface.seenFrom, 'outside');
      const openings = (check.figure.openings ?? []).map(({ x, y, width, height }) => [
        { x, y },
        { x: x + width, y },
        { x: x + width, y: y + height },
        { x, y: y + height },
      ]);
      return [
        {
          tag: surface.tag,
          own: this.#brought(surface),
          outline: viewOutline(outline, surface.seenFrom, look),
          openings: openings.map((opening) => viewOutline(opening, surface.seenFrom, look, outline)),
        },
      ];
    });
  }
}
