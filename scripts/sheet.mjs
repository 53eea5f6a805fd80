import { runProgram } from './lib.mjs';

/** npm run --silent sheet -- FILE --to pdf|template|svg|dxf|ics|csv …: a sheet, drawing or table on standard output, or with --out in a file. */
await runProgram('sheetFile');
