import Papa from 'papaparse';
import { catalogueRows, type Catalogue } from '@steddo/contract';

/** What the list of mounts is taken out as. */
export type CatalogueFormat = 'csv' | 'json';

/** Every format; one that is missing here does not compile. */
export const CATALOGUE_FORMATS: Record<CatalogueFormat, { mime: string; write: (catalogue: Catalogue) => string }> = {
  csv: { mime: 'text/csv', write: ({ mounts }) => Papa.unparse(catalogueRows(mounts)) },
  json: { mime: 'application/json', write: (catalogue) => JSON.stringify(catalogue, null, 1) },
};
