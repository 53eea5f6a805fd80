import { useEffect, useRef, useState } from 'react';
import { useRoomContext } from '../state/roomState';
import { journal } from '../data/shared';
import { asTyped, readTyped, stepOf, unitAtStart, unitsFor, type EntryUnit, type Field, type Typed } from './fields';
import { press, type PadText } from './padKeys';

/** What is being typed into a field; written down at every key until it is taken. */
export interface PadEntry {
  text: string;
  unit: EntryUnit;
  error?: string;
  perhaps?: { value: number; unit: EntryUnit };
  key: (key: string) => void;
  type: (text: string) => void;
  nudge: (direction: 1 | -1) => void;
  nextUnit: () => void;
  /** Takes what was typed; false when it was not valid and stays as it was. */
  commit: (value?: number) => boolean;
}

export function usePadEntry(field: Field): PadEntry {
  const { id, job, say, dispatch } = useRoomContext();
  const start = unitAtStart(field, job.units);
  const [unit, setUnit] = useState<EntryUnit>(start);
  const draftKey = draftOf(id, field.path);
  const [pad, setPad] = useState<PadText>(() => initial(field, start, draftKey));
  const [fault, setFault] = useState<Extract<Typed, { ok: false }>>();

  const exact = useRef<Exact>(exactOf(field, pad.text));

  const now = useRef({ field, units: job.units });
  now.current = { field, units: job.units };
  useEffect(() => {
    const { field: opened, units } = now.current;
    const unitNow = unitAtStart(opened, units);
    setUnit(unitNow);
    const first = initial(opened, unitNow, draftKey);
    setPad(first);
    exact.current = exactOf(opened, first.text);
    setFault(undefined);
    // The field's value may change while its draft is typed; only another field starts anew.
  }, [draftKey]);

  const change = (next: PadText) => {
    setPad(next);
    setFault(undefined);
    journal.keepDraft(draftKey, next.text);
    journal.keepDraft(openPadOf(id), field.path);
  };
  // what was converted or stood there is still what it was, not what its rounded text says
  const read = (): Typed => {
    const kept = exact.current;
    return kept && kept.text === pad.text ? { ok: true, value: kept.value } : readTyped(pad.text, field, unit, say);
  };
  const put = (value: number): boolean => {
    const faults = dispatch(field.command(value, job));
    if (faults.length > 0) {
      setFault({ ok: false, reason: `This does not fit the room: ${faults[0]?.reason ?? ''}.` });
      return false;
    }
    journal.forgetDraft(draftKey);
    return true;
  };
  /** Nothing was entered: the field stays as it is. */
  const leave = (): boolean => {
    journal.forgetDraft(draftKey);
    return true;
  };
  return {
    text: pad.text,
    unit,
    ...(fault ? { error: fault.reason } : {}),
    ...(fault?.perhaps ? { perhaps: fault.perhaps } : {}),
    key: (key) => change(press(pad, key)),
    type: (text) => change({ text, fresh: false }),
    nudge: (direction) => {
      const from = read();
      const base = from.ok ? from.value : (field.value ?? 0);
      change({
        text: asTyped(base + direction * stepOf(field, unit).value, field, unit),
        fresh: false,
      });
    },
    nextUnit: () => {
      const units = unitsFor(field);
      const next = units[(units.indexOf(unit) + 1) % units.length] ?? unit;
      const now = read();
      setUnit(next);
      if (!now.ok) return;
      const text = asTyped(now.value, field, next);
      exact.current = { text, value: now.value };
      change({ text, fresh: pad.fresh });
    },
    commit: (value) => {
      if (value !== undefined) return put(value);
      if (pad.text.trim() === '') return leave();
      const typed = read();
      if (typed.ok && typed.value === field.value && !field.guess) return leave();
      if (typed.ok) return put(typed.value);
      setFault(typed);
      return false;
    },
  };
}

type Exact = { text: string; value: number } | undefined;

/** The value that a field's first text stands for. */
const exactOf = ({ value }: Field, text: string): Exact => (value === undefined ? undefined : { text, value });

/** Under which name the text of a field is written down, and which field a room's pad is open on. */
export const draftOf = (room: string, path: string): string => `pad:${room}:${path}`;
export const openPadOf = (room: string): string => `open-pad:${room}`;

function initial(field: Field, unit: EntryUnit, draftKey: string): PadText {
  const draft = journal.draft(draftKey);
  if (draft !== undefined) return { text: draft, fresh: false };
  return { text: field.value === undefined ? '' : asTyped(field.value, field, unit), fresh: true };
}
