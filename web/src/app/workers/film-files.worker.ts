import {
  type ReadFilms,
  filmListCsv,
  filmListJson,
  readFilmList,
  readSpectrumCsv,
} from '@yellow-pane/contracts/film-files';
import { type ByBand, type LayerOptics, bandsOfSpectrum, solarOfSpectrum } from '@yellow-pane/core/glazing';
import type { Film } from '@yellow-pane/core/job';
import { CoreError } from '@yellow-pane/core/quantity';
import { shellWords } from '../words/shell';
import { exposeWork } from './core-errors';

export type SpectrumAnswer =
  | (ByBand<LayerOptics> & { readonly solar: LayerOptics; readonly lines: number })
  | { readonly refused: string };

export interface FilmFilesApi {
  read(text: string): ReadFilms;
  write(films: readonly Film[], kind: 'csv' | 'json'): string;
  spectrum(text: string): SpectrumAnswer;
}

const api: FilmFilesApi = {
  read: readFilmList,
  write: (films, kind) => (kind === 'csv' ? filmListCsv(films) : filmListJson(films)),
  spectrum(text) {
    const read = readSpectrumCsv(text);
    if ('refused' in read) return read;
    try {
      return {
        ...bandsOfSpectrum(read.points),
        solar: solarOfSpectrum(read.points),
        lines: read.points.length,
      };
    } catch (error) {
      if (error instanceof CoreError)
        return { refused: shellWords.spectrumExpected(error.data.expected, error.data.got) };
      throw error;
    }
  },
};

exposeWork(api);
