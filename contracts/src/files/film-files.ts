export {
  type FilmList,
  type ReadFilms,
  MOST_FILMS_IN_A_FILE,
  filmListCsv,
  filmListJson,
  readFilmList,
} from './film-list';
export { readSpectrumCsv } from './spectrum-csv';
