import { sendByHttp } from './byHttp';
import { isByMail, sendByMail } from './byMail';

export interface Message {
  /** The same at each try. */
  readonly id: number;
  /** https://…, or mailto:… */
  readonly address: string;
  /** An announcement as JSON. */
  readonly body: string;
  /** What it is signed with; null of an e-mail. */
  readonly secret: string | null;
}

/** Sends a message; throws when it was not taken, with words for people. The result is what came back, in words. */
export type Send = (message: Message, now: Date) => Promise<string>;

export const send: Send = (message, now) => (isByMail(message.address) ? sendByMail : sendByHttp)(message, now);
