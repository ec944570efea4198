import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { PeopleAnswer, PersonRow } from '@yellow-pane/contracts';
import type { Person } from '@yellow-pane/core/job';
import { Device } from '../device/device';
import { newId } from '../device/session';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';
import { ChangesInTurn } from './changes-in-turn';

/** What the server objects to, or the person's id. */
type Saved = { readonly id: string } | { readonly objection: string };

const GONE = catalogueWords.noAnswer;

/** The people of the shop, as this server keeps them, and which of them works on this device. */
export const People = signalStore(
  { providedIn: 'root' },
  withState<{ readonly people: readonly PersonRow[] }>({ people: [] }),
  withComputed(({ people }, device = inject(Device)) => ({
    byId: computed(() => new Map(people().map((row) => [row.id, row]))),
    active: computed(() => people().filter(({ active }) => active)),
    self: computed(() => people().find(({ id }) => id === device.personId())),
  })),
  withMethods((store, device = inject(Device), hand = inject(WhoseHand)) => {
    /** A device that was told a name only, or nobody, works for whom the shop knows. */
    const settle = ({ people, ready }: PeopleAnswer): void => {
      const own = people.find(({ id }) => id === device.personId());
      if (own !== undefined) device.workFor({ who: own.name, personId: own.id });
      else if (!device.hasName()) {
        const waiting = people.find(({ id }) => id === ready);
        if (waiting !== undefined) device.workFor({ who: waiting.name, personId: waiting.id });
      } else if (device.personId() === '') {
        const namesake = people.find(({ name }) => isSameName(name, device.who()));
        device.workFor({ who: device.who(), personId: namesake?.id ?? newId() });
      }
    };
    const load = (): Promise<void> =>
      api.people().then(
        (answer) => {
          patchState(store, { people: answer.people });
          settle(answer);
        },
        () => undefined,
      );
    return {
      load(): Promise<void> {
        const loading = load();
        hand.mayBeToldBy(loading);
        return loading;
      },
      _again: load,
      _take(row: PersonRow): void {
        patchState(store, ({ people }) => ({
          people: [...people.filter(({ id }) => id !== row.id), row].toSorted((one, other) =>
            one.name.localeCompare(other.name),
          ),
        }));
        if (row.id === device.personId()) device.workFor({ who: row.name, personId: row.id });
      },
      /** Somebody the shop may know by that name already. */
      named: (name: string): PersonRow | undefined =>
        store.active().find((row) => isSameName(row.name, name)),
    };
  }),
  withMethods((store, hand = inject(WhoseHand)) => {
    const save = async (person: Person, of?: PersonRow): Promise<Saved> => {
      const refused = async (objection: string): Promise<Saved> => {
        if (of !== undefined) store._take(of);
        await store._again();
        return { objection };
      };
      const by = await hand.known();
      if (by === undefined) return refused(NOBODY_SAID);
      const id = of?.id ?? newId();
      try {
        store._take(await api.savePerson(id, by, person, of?.version));
        return { id };
      } catch (error) {
        return refused(error instanceof ServerRefusal ? error.problem.detail : GONE);
      }
    };
    const inTurn = new ChangesInTurn<PersonRow>();
    return {
      save,
      /** Shown at once, sent in turn. */
      change(of: PersonRow, fields: Partial<Person>): Promise<Saved> {
        patchState(store, ({ people }) => ({
          people: people.map((row) => (row.id === of.id ? { ...row, ...fields } : row)),
        }));
        return inTurn.take(of, async (base) => {
          const answer = await save({ ...personOf(base), ...fields }, base);
          return { answer, made: 'id' in answer ? store.byId().get(of.id) : undefined };
        });
      },
    };
  }),
);

function personOf({ name, initials, hand, skills, wander_mm, active }: PersonRow): Person {
  return { name, initials, hand, skills, wander_mm, active };
}

function isSameName(one: string, other: string): boolean {
  return one.trim().toLocaleLowerCase() === other.trim().toLocaleLowerCase();
}
