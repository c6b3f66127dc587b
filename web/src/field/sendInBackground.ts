const AGAIN_AFTER = 15_000;

/** Sends what waits on this device whenever there is signal, whichever page is open. */
export function sendInBackground(senders: readonly (() => Promise<void>)[]) {
  const go = () => {
    for (const send of senders) void send();
  };
  window.setInterval(go, AGAIN_AFTER);
  window.addEventListener('online', go);
  window.addEventListener('umbel-signed-in', go);
  go();
}
