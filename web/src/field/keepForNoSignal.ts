/**
 * Lays the program itself into the phone's store the first time a row is opened, so that it starts without signal. Pages of
 * the office do not need it.
 */
export function keepForNoSignal() {
  const inTheField =
    window.location.pathname.startsWith('/field') || window.location.pathname.startsWith('/t/');
  if (inTheField && 'serviceWorker' in navigator && import.meta.env.PROD) {
    void import('virtual:pwa-register').then(({ registerSW }) => registerSW({ immediate: true }));
  }
}
