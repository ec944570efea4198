import { v7 } from 'uuid';

/** This opening of this tab. */
export const TAB: string = v7();

const nameOf = (tab: string): string => `yellow-pane tab ${tab}`;
const CHANNEL = 'yellow-pane tabs';
const watched = new Set<string>();

/** Locks over all tabs of this browser; not there on pages that came over an open line. */
export function locksOfBrowser(): LockManager | undefined {
  return (globalThis.navigator as Navigator | undefined)?.locks;
}

let living: Promise<void> | undefined;

/**
 * Holds a lock for as long as this tab lives: when it is free, the tab is gone. Resolves once it is held, or
 * where there are no locks.
 */
export function liveInThisTab(): Promise<void> {
  living ??= new Promise((held) => {
    const all = locksOfBrowser();
    if (all === undefined) {
      held();
      return;
    }
    void all
      .request(nameOf(TAB), () => {
        held();
        return new Promise<never>(() => undefined);
      })
      .catch(() => {
        held();
      });
  });
  return living;
}

/** The tabs that live now beside one; where the browser cannot tell, none. */
export async function otherTabs(than = TAB): Promise<ReadonlySet<string>> {
  const { held = [] } = (await locksOfBrowser()?.query()) ?? {};
  return new Set(
    held.flatMap(({ name = '' }) =>
      name.startsWith(nameOf('')) && name !== nameOf(than) ? [name.slice(nameOf('').length)] : [],
    ),
  );
}

/** Tells when another tab that lives now, or is opened later, is gone. */
export function whenTabsGo(gone: () => void): void {
  const watch = (tab: string): void => {
    if (tab === TAB || watched.has(tab)) return;
    watched.add(tab);
    void locksOfBrowser()
      ?.request(nameOf(tab), { mode: 'shared' }, () => undefined)
      .then(
        () => {
          watched.delete(tab);
          gone();
        },
        () => undefined,
      );
  };
  void otherTabs().then((tabs) => {
    tabs.forEach(watch);
  });
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(CHANNEL);
  channel.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (typeof data === 'string') watch(data);
  });
  void liveInThisTab().then(() => {
    channel.postMessage(TAB);
  });
}

/** Runs something while no other tab of this browser does the same. */
export async function aloneOverTabs<Answer>(what: string, run: () => Promise<Answer>): Promise<Answer> {
  const all = locksOfBrowser();
  return all === undefined ? run() : await all.request(`yellow-pane ${what}`, run);
}
