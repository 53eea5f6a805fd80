import { useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { Mount, Units } from '@steddo/contract';
import { localStore } from '../../data/shared';
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
    let here = true;
    void localStore.kept(key).then((kept) => {
      if (!here || !isDraft(kept)) return;
      setUnits(kept.units);
      reset({ ...EMPTY, ...kept.values }, { keepDefaultValues: true });
      setRestored(true);
    });
    return () => {
      here = false;
    };
    // only what was kept when the page opened
  }, [key, reset, setUnits]);
  useEffect(() => {
    const { unsubscribe } = watch((values, { type }) => {
      if (type === 'change') void localStore.keep(key, { units, values });
    });
    return unsubscribe;
  }, [key, units, watch]);
  const forget = () => void localStore.forget(key);
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

const isDraft = (kept: unknown): kept is Draft =>
  typeof kept === 'object' && kept !== null && 'units' in kept && 'values' in kept;
