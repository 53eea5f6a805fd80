import { Followed } from './followed';

/** A newer app that has been fetched and waits; taking it loads the page again. */
export const newVersion = new Followed<(() => void) | undefined>(undefined);

/** How long after the first picture what is not in it is kept for later, ms: it should not be in the picture's way. */
export const LATER_MS = 1500;

/** A newer app is not let in while the old one still answers something, and nobody tells it when that is over, ms. */
const AGAIN_MS = 2000;

/**
 * Keeps the app on this device, so that it opens without a server. A newer one is fetched beside it and offered;
 * nothing is exchanged under somebody's hands.
 */
export function keepApp(later: (work: () => void, ms: number) => void): void {
  const { serviceWorker } = navigator;
  if (!serviceWorker || process.env.NODE_ENV !== 'production') return;
  later(() => void register(serviceWorker).catch(() => undefined), LATER_MS);
}

async function register(container: ServiceWorkerContainer): Promise<void> {
  const registration = await container.register('/sw.js');
  const offer = (worker: ServiceWorker | null) => {
    // without a controller it is the first one, which nobody has to take
    if (!worker || !container.controller) return;
    newVersion.set(takeOnce(container, worker, () => window.location.reload()));
  };
  offer(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const { installing } = registration;
    installing?.addEventListener('statechange', () => installing.state === 'installed' && offer(installing));
  });
}

/** Lets a newer app in, however often it is tapped: asks for it until it is there, then loads the page again. */
export function takeOnce(
  container: Pick<ServiceWorkerContainer, 'addEventListener'>,
  worker: Pick<ServiceWorker, 'postMessage'>,
  reload: () => void,
): () => void {
  let asking = false;
  const ask = () => {
    worker.postMessage({ type: 'SKIP_WAITING' });
    setTimeout(ask, AGAIN_MS);
  };
  return () => {
    if (asking) return;
    asking = true;
    container.addEventListener('controllerchange', reload, { once: true });
    ask();
  };
}
