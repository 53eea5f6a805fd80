import { checkFile, job as jobFormat, type Fault, type Job } from '@steddo/contract';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { fileName } from '../../ui/download';

/** All rooms as one archive: a job file for each, as the command line reads them. */
export function packRooms(rooms: readonly { id: string; job: Job }[]): Uint8Array {
  const files = rooms.map(({ id, job }) => {
    const name = fileName(`${job.title}-${id}`, 'steddo.json');
    return [name, strToU8(`${JSON.stringify(job, null, 2)}\n`)] as const;
  });
  return zipSync(Object.fromEntries(files), { level: 6 });
}

export interface FileFault extends Fault {
  file: string;
}

export type Unpacked = { ok: true; jobs: { file: string; job: Job }[] } | { ok: false; faults: FileFault[] };

/** Larger than any room, and than any archive of rooms; what is beyond is not unpacked. */
const MOST_BYTES = { file: 2 * 1024 * 1024, archive: 60 * 1024 * 1024, files: 2000 };

/**
 * Reads a job file or an archive of them. All of it or nothing: every fault with its file, its path and the reason.
 */
export function unpackRooms(name: string, bytes: Uint8Array): Unpacked {
  const files = bytes[0] === 0x50 && bytes[1] === 0x4b ? unzipped(name, bytes) : [{ file: name, bytes }];
  if (!Array.isArray(files)) return { ok: false, faults: [files] };
  const faults: FileFault[] = [];
  const jobs: { file: string; job: Job }[] = [];
  for (const { file, bytes: content } of files) {
    const read = readJob(content);
    if (read.ok) jobs.push({ file, job: read.value });
    else faults.push(...read.faults.map((f) => ({ ...f, file })));
  }
  if (faults.length === 0 && jobs.length === 0)
    faults.push({ file: name, path: '(file)', reason: 'has no job files in it' });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, jobs };
}

function unzipped(name: string, bytes: Uint8Array): { file: string; bytes: Uint8Array }[] | FileFault {
  const refuse = (reason: string): FileFault => ({ file: name, path: '(file)', reason });
  let total = 0;
  let count = 0;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name: inner, originalSize }) => {
        if (!/\.json$/i.test(inner)) return false;
        total += originalSize;
        count += 1;
        if (originalSize > MOST_BYTES.file) throw new RangeError(`${inner} is larger than a room may be (2 MB)`);
        if (total > MOST_BYTES.archive || count > MOST_BYTES.files)
          throw new RangeError('is larger than an archive of rooms may be (60 MB, 2000 rooms)');
        return true;
      },
    });
    return Object.entries(files).map(([file, content]) => ({ file, bytes: content }));
  } catch (error) {
    return refuse(error instanceof RangeError ? error.message : 'is no archive that can be unpacked');
  }
}

function readJob(bytes: Uint8Array) {
  const refuse = (reason: string) => ({ ok: false as const, faults: [{ path: '(file)', reason }] });
  if (bytes.length > MOST_BYTES.file) return refuse('is larger than a room may be (2 MB)');
  try {
    return checkFile(jobFormat, JSON.parse(strFromU8(bytes).replace(/^\uFEFF/, '')));
  } catch (error) {
    return refuse(`is not JSON: ${error instanceof Error ? error.message : ''}`);
  }
}
