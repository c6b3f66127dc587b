import { farmBase } from '../api/farm';

const WITHOUT_SIGNAL = [/^\/field/, /^\/t\//, /^\/practice/, /^\/blocks\/\d+\/count$/];

/** Whether a page is used where there is no signal. */
export function worksWithoutSignal(path: string): boolean {
  return WITHOUT_SIGNAL.some((one) => one.test(path));
}

/**
 * Lays the program itself into the phone's store the first time a page is opened that is used without signal, so that it starts
 * there. Pages of the office do not need it.
 */
export function keepForNoSignal() {
  if (
    worksWithoutSignal(window.location.pathname.slice(farmBase.length)) &&
    'serviceWorker' in navigator &&
    import.meta.env.PROD
  ) {
    void import('virtual:pwa-register').then(({ registerSW }) => registerSW({ immediate: true }));
  }
}
