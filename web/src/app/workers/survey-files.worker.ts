import {
  type BroughtIn,
  type DrawingUnit,
  type DrawnSurface,
  readSurveyDxf,
  readSurveyFile,
  readSurveyTable,
  surveyDxf,
} from '@yellow-pane/contracts/survey-files';
import type { SurveyFile } from '@yellow-pane/contracts/survey-files';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import { exposeWork } from './core-errors';

export interface SurveyFilesApi {
  readTable(
    text: string,
    options: {
      readonly entryUnit: LengthUnit;
      readonly decimalComma: boolean | undefined;
      readonly takenTags: readonly string[];
      readonly means: ReadonlyMap<number, string>;
    },
  ): BroughtIn;
  readDrawing(
    text: string,
    options: {
      readonly unit: DrawingUnit | undefined;
      readonly scale: number;
      readonly takenTags: readonly string[];
      readonly drawnFrom: 'room' | 'outside' | undefined;
    },
  ): BroughtIn;
  readFile(text: string): { readonly file: SurveyFile } | { readonly refused: string };
  drawing(surfaces: readonly DrawnSurface[]): string;
}

const api: SurveyFilesApi = {
  readTable: (text, { entryUnit, decimalComma, takenTags, means }) =>
    readSurveyTable(text, { entryUnit, decimalComma, takenTags: new Set(takenTags), means }),
  readDrawing: (text, { unit, scale, takenTags, drawnFrom }) =>
    readSurveyDxf(text, { unit, scale, takenTags: new Set(takenTags), drawnFrom }),
  readFile: readSurveyFile,
  drawing: surveyDxf,
};

exposeWork(api);
