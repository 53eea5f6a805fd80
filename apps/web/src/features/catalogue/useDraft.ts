import { useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { Mount, Units } from '@steddo/contract';
import { journal } from '../../data/shared';
import { EMPTY, type MountTyped } from './mountForm';

interface Draft {
  units: Units;
  values: MountTyped;
}

/** What was typed into the form of a mount stays on the device until it is saved or dropped. */
export function useDraft(
  id: string,
  form: UseFormReturn<MountTyped, unknown, Mount>,
  units: Units,
  setUnits: (units: Units) => void,
) {
  const key = `mount-draft:${id}`;
  const { reset, watch } = form;
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    const kept = readDraft(journal.draft(key));
    if (!kept) return;
    setUnits(kept.units);
    reset({ ...EMPTY, ...kept.values }, { keepDefaultValues: true });
    setRestored(true);
    // only what was kept when the page opened
  }, [key, reset, setUnits]);
  useEffect(() => {
    const { unsubscribe } = watch((values, { type }) => {
      if (type === 'change') journal.keepDraft(key, JSON.stringify({ units, values }));
    });
    return unsubscribe;
  }, [key, units, watch]);
  const forget = () => journal.forgetDraft(key);
  return {
    restored,
    forget,
    /** Back to the mount as it is saved, or to an empty form. */
    drop: (start: MountTyped) => {
      forget();
      reset(start);
      setRestored(false);
    },
  };
}

function readDraft(text: string | undefined): Draft | undefined {
  try {
    const kept = JSON.parse(text ?? '') as unknown;
    return typeof kept === 'object' && kept !== null && 'units' in kept && 'values' in kept
      ? (kept as Draft)
      : undefined;
  } catch {
    return undefined;
  }
}
