import type { LocalStore } from './localStore';
import { ask, fail, obstacleOf } from './request';

/** The catalogue's file as the server sent it, and the tag that it had then. */
const FILE = 'catalogue';
const TAG = 'catalogue-tag';

type Kept = Pick<LocalStore, 'keep' | 'kept'>;

/** The catalogue's file from the server, unread; kept on this device where it is another than the last. */
export async function bringCatalogue(store: Kept): Promise<string> {
  const response = await ask('/api/catalogue');
  if (!response.ok) fail(await obstacleOf(response));
  const text = await response.text();
  if (!text.startsWith('{"format":"steddo-catalogue"')) fail({ why: 'in-between' });
  void keep(store, text, response.headers.get('etag') ?? '').catch(() => undefined);
  return text;
}

/** The file that was last brought here. */
export async function keptCatalogue(store: Kept): Promise<string | undefined> {
  const text = await store.kept(FILE).catch(() => undefined);
  return typeof text === 'string' ? text : undefined;
}

async function keep(store: Kept, text: string, tag: string): Promise<void> {
  if (tag !== '' && (await store.kept(TAG)) === tag) return;
  await store.keep(FILE, text);
  await store.keep(TAG, tag);
}
