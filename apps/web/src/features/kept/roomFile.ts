import type { Job } from '@steddo/contract';
import { download, fileName } from '../../ui/download';
import { today } from '../../ui/moment';

/** The room as a job file, the same as the command line reads. */
export const saveRoomFile = (job: Job): void =>
  download(fileName(`${job.title} ${today()}`, 'steddo.json'), `${JSON.stringify(job, null, 2)}\n`, 'application/json');
