import { sendPhotos } from '../photo/pending';
import { asksAgain } from '../api/problem';
import { isOpen, sendWaiting, whoseIsIt } from './visits';

let sending = false;

/** Sends what this phone has for the server: finished visits first, then their photographs. */
export async function sendAll(): Promise<void> {
  await sendWaiting();
  if (sending) return;
  sending = true;
  try {
    await sendPhotos(isOpen, whoseIsIt(), asksAgain);
  } finally {
    sending = false;
  }
}
