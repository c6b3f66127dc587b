import { sendWaiting, waiting } from './visits';

const AGAIN_AFTER = 15_000;

/** Sends finished visits whenever there is signal, whichever page is open, those that failed among them. */
export function sendInBackground() {
  const go = () => {
    if (waiting().some((one) => one.refused === '')) void sendWaiting();
  };
  window.setInterval(go, AGAIN_AFTER);
  window.addEventListener('online', go);
  window.addEventListener('umbel-signed-in', go);
  go();
}
