import { told } from './told';

describe('what a worker tells', () => {
  it.each(['answers', 'fails'])('comes until it %s, and not after', async (how) => {
    const heard: number[] = [];
    let late: (share: number) => void = () => undefined;
    const asked = told(
      (share: number) => void heard.push(share),
      (tell) => {
        tell(0.5);
        late = tell;
        return how === 'fails' ? Promise.reject(new Error('ended')) : Promise.resolve('there');
      },
    ).catch((error: Error) => error.message);
    expect(await asked).toBe(how === 'fails' ? 'ended' : 'there');
    late(1);
    expect(heard).toEqual([0.5]);
  });
});
