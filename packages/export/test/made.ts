import { fork, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Job } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { demoCatalogue } from '@steddo/samples';
import type { Exported, SheetFonts } from '../src';

/** What a format is made of in a test, and a PDF as another library reads it. */

const FONTS = join(import.meta.dirname, '../../../node_modules');
const own = '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin';
const read = (path: string) => new Uint8Array(readFileSync(join(FONTS, path)));

export const fonts: SheetFonts = {
  plain: read(`${own}-400-normal.woff`),
  bold: read(`${own}-700-normal.woff`),
  fallback: read('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'),
};
export const at = new Date('2027-03-04T10:00:00Z');

export const exported = (job: Job): Exported => {
  const whole = withKit(job, demoCatalogue);
  return { job: whole, plan: plan(whole) };
};

interface ReadText {
  text: string;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Dark pixels where it stands, when it is rendered. */
  ink: number;
}

interface ReadPage {
  width: number;
  height: number;
  texts: ReadText[];
  paths: [number, number][][];
  images: { width: number; height: number }[];
  tree: string[];
}

export interface ReadPdf {
  title: string;
  lang: string;
  tagged: boolean;
  pages: ReadPage[];
}

/** A PDF by pdfjs, in a process of its own that reads one after the other: that library is a module of another kind than the tests. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPdf> {
  const file = join(mkdtempSync(join(tmpdir(), 'steddo-pdf-')), 'sheet.pdf');
  writeFileSync(file, bytes);
  const reading = (reader ??= started());
  return new Promise((resolve, reject) => {
    const hear = (said: { file: string; read?: ReadPdf; error?: string }) => {
      if (said.file !== file) return;
      reading.off('message', hear);
      if (said.read) resolve(said.read);
      else reject(new Error(said.error));
    };
    reading.on('message', hear);
    reading.once('exit', (code) => reject(new Error(`the reader ended with ${code}`)));
    reading.send(file);
  });
}

let reader: ChildProcess | undefined;

/** It ends with the test's own process, and holds nothing up. */
function started(): ChildProcess {
  const child = fork(join(import.meta.dirname, 'readPdf.mjs'), { execArgv: [] });
  child.setMaxListeners(0);
  child.unref();
  child.channel?.unref();
  return child;
}
