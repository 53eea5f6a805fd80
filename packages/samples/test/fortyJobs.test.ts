import { checkFile, job as jobFormat } from '@steddo/contract';
import { FORTY_JOBS } from './fortyJobs';

describe('forty ordinary jobs', () => {
  it('are forty valid jobs, each with a reason for what is expected of it', () => {
    expect(FORTY_JOBS).toHaveLength(40);
    expect(new Set(FORTY_JOBS.map((j) => j.name)).size).toBe(40);
    for (const { name, job, expected, first, why } of FORTY_JOBS) {
      const checked = checkFile(jobFormat, job);
      expect(checked.ok ? [] : [name, checked.faults]).toEqual([]);
      expect(why.length).toBeGreaterThan(10);
      expect([name, first !== undefined]).toEqual([name, expected === 'stop']);
    }
  });
});
