import { checkFile, faultOfPicture, job as jobFormat, picturePath, type Fault, type Job } from '@steddo/contract';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';

/** A room as it goes into an archive: its job, and of its pictures those that are there. */
export interface PackedRoom {
  /** What its files are called, without an end. */
  name: string;
  job: Job;
  pictures: ReadonlyMap<string, Uint8Array>;
}

export interface UnpackedRoom {
  file: string;
  job: Job;
  /** Those that lie beside it, checked, by their ids. */
  pictures: Map<string, Uint8Array>;
}

/** Rooms as one archive: a job file for each, as the command line reads them, and beside it a folder of its pictures. */
export function packRooms(rooms: readonly PackedRoom[]): Uint8Array {
  const files: Zippable = {};
  for (const { name, job, pictures } of rooms) {
    const file = `${name}.steddo.json`;
    files[file] = strToU8(`${JSON.stringify(job, null, 2)}\n`);
    // a JPEG does not become smaller
    for (const [id, bytes] of pictures) files[picturePath(file, id)] = [bytes, { level: 0 }];
  }
  return zipSync(files, { level: 6 });
}

export interface FileFault extends Fault {
  file: string;
}

export type Unpacked = { ok: true; jobs: UnpackedRoom[] } | { ok: false; faults: FileFault[] };

/** Larger than any room, and than any archive of rooms; what is beyond is not unpacked. */
const MB = 1024 * 1024;
const MOST = { job: 2 * MB, jobs: 60 * MB, pictures: 500 * MB, files: 20_000 };

/**
 * Reads a job file or an archive of them with their pictures. All of it or nothing: every fault with its file, its path
 * and the reason. Pictures that no job names are left where they are.
 */
export function unpackRooms(name: string, bytes: Uint8Array): Unpacked {
  const files = bytes[0] === 0x50 && bytes[1] === 0x4b ? unzipped(name, bytes) : new Map([[name, bytes]]);
  if (!(files instanceof Map)) return { ok: false, faults: [files] };
  const faults: FileFault[] = [];
  const jobs: UnpackedRoom[] = [];
  for (const [file, content] of files) {
    if (/\.jpe?g$/i.test(file)) continue;
    const read = readJob(content);
    if (read.ok) {
      const { pictures, faults: bad } = picturesOf(file, read.value, files);
      faults.push(...bad);
      jobs.push({ file, job: read.value, pictures });
    } else faults.push(...read.faults.map((f) => ({ ...f, file })));
  }
  if (faults.length === 0 && jobs.length === 0)
    faults.push({ file: name, path: '(file)', reason: 'has no job files in it' });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, jobs };
}

/** The pictures that a job names, as they lie beside it. */
function picturesOf(file: string, { photos = [] }: Job, files: ReadonlyMap<string, Uint8Array>) {
  const pictures = new Map<string, Uint8Array>();
  const faults: FileFault[] = [];
  for (const { id } of photos) {
    const path = picturePath(file, id);
    const bytes = files.get(path);
    if (!bytes) continue;
    const fault = faultOfPicture(bytes);
    if (fault) faults.push({ file: path, ...fault });
    else pictures.set(id, bytes);
  }
  return { pictures, faults };
}

function unzipped(name: string, bytes: Uint8Array): Map<string, Uint8Array> | FileFault {
  const refuse = (reason: string): FileFault => ({ file: name, path: '(file)', reason });
  const total = { jobs: 0, pictures: 0, files: 0 };
  try {
    const files = unzipSync(bytes, {
      filter: ({ name: inner, originalSize }) => {
        const picture = /\.pictures\/[^/]+\.jpe?g$/i.test(inner);
        if (!picture && !/\.json$/i.test(inner)) return false;
        total[picture ? 'pictures' : 'jobs'] += originalSize;
        total.files += 1;
        if (!picture && originalSize > MOST.job) throw new RangeError(`${inner} is larger than a room may be (2 MB)`);
        if (total.jobs > MOST.jobs || total.pictures > MOST.pictures || total.files > MOST.files)
          throw new RangeError('is larger than an archive of rooms may be (60 MB of rooms, 500 MB of pictures)');
        return true;
      },
    });
    return new Map(Object.entries(files));
  } catch (error) {
    return refuse(error instanceof RangeError ? error.message : 'is no archive that can be unpacked');
  }
}

function readJob(bytes: Uint8Array) {
  const refuse = (reason: string) => ({ ok: false as const, faults: [{ path: '(file)', reason }] });
  if (bytes.length > MOST.job) return refuse('is larger than a room may be (2 MB)');
  try {
    return checkFile(jobFormat, JSON.parse(strFromU8(bytes).replace(/^\uFEFF/, '')));
  } catch (error) {
    return refuse(`is not JSON: ${error instanceof Error ? error.message : ''}`);
  }
}
