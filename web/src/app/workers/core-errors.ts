import { CoreError, type CoreErrorCode, type CoreErrorData } from '@yellow-pane/core/quantity';
import { type TransferHandler, expose, transferHandlers } from 'comlink';

interface Thrown {
  readonly value: unknown;
}
interface Sent {
  readonly isError: boolean;
  readonly value: unknown;
}
interface SentRefusal extends Sent {
  readonly refusal: { readonly code: CoreErrorCode; readonly data: CoreErrorData };
}

const plain = transferHandlers.get('throw') as TransferHandler<Thrown, Sent>;

const withRefusals: TransferHandler<Thrown, Sent | SentRefusal> = {
  canHandle: (value): value is Thrown => plain.canHandle(value),
  serialize: (thrown: Thrown) => {
    const [sent, transferred] = plain.serialize(thrown);
    const { value } = thrown;
    return [
      value instanceof CoreError ? { ...sent, refusal: { code: value.code, data: value.data } } : sent,
      transferred,
    ];
  },
  deserialize: (sent: Sent | SentRefusal) => {
    if ('refusal' in sent) throw new CoreError(sent.refusal.code, sent.refusal.data);
    return plain.deserialize(sent);
  },
};

/** From now on what core refuses crosses the border of a worker with code and data. Again does no harm. */
export function keepCoreErrors(): void {
  transferHandlers.set('throw', withRefusals);
}

/** Offers what a worker does to the page. */
export function exposeWork(work: object): void {
  keepCoreErrors();
  expose(work);
}
