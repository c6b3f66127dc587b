import { sendAll } from './sendAll';

const AGAIN_AFTER = 15_000;

/** Sends finished visits and photographs whenever there is signal, whichever page is open, those that failed among them. */
export function sendInBackground() {
  const go = () => void sendAll();
  window.setInterval(go, AGAIN_AFTER);
  window.addEventListener('online', go);
  window.addEventListener('umbel-signed-in', go);
  go();
}
