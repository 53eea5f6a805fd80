import { useMemo, useState, type ReactNode } from 'react';
import { checkFile, job as jobFormat, type Fault, type Job } from '@steddo/contract';
import { applyCommand, newMemory, plan, type Command } from '@steddo/core';
import { act, render } from '@testing-library/react';
import { TapePad } from '../pad/TapePad';
import { RoomTools } from '../shell/RoomTools';
import { Planner } from '../state/planner';
import { RoomProvider } from '../state/roomState';
import { Dress } from '../ui/Dress';
import { WorkingSheet } from '../work/WorkingSheet';

/** What a test sees of the room that it has open. */
export interface OpenedRoom {
  job: Job;
  commands: Command[];
  preview: (command: Command | undefined) => void;
}

/** Renders parts of a room for real: a document in memory, the pad and the workings beside them. `slow`: plans never come. */
export function openRoom(start: Job, children: ReactNode, { slow = false } = {}): OpenedRoom {
  let time = 0;
  const planner = new Planner(undefined, {
    here: () => (job) => plan(job, { memory }),
    comes: () => Promise.resolve(),
    first: () => undefined,
    apart: never,
    clock: () => (slow ? (time += A_SECOND) : 0),
    after: () => undefined,
  });
  const opened: OpenedRoom = { job: start, commands: [], preview: () => undefined };
  function Room() {
    const [document, setDocument] = useState(start);
    const doings = useMemo(
      () => ({
        dispatch: (command: Command): Fault[] => {
          const checked = checkFile(jobFormat, applyCommand(opened.job, command).job);
          if (!checked.ok) return checked.faults;
          opened.job = checked.value;
          opened.commands.push(command);
          setDocument(checked.value);
          return [];
        },
        goTo: () => undefined,
      }),
      [],
    );
    return (
      <RoomProvider source={{ id: 'test', document, kit: NO_KIT, readOnly: false }} doings={doings} planner={planner}>
        <RoomTools>
          {children}
          <TapePad />
          <WorkingSheet />
        </RoomTools>
      </RoomProvider>
    );
  }
  render(
    <Dress>
      <Room />
    </Dress>,
  );
  return opened;
}

const A_SECOND = 1000;
const NO_KIT = {};
const memory = newMemory();
/** However slow the machine is, a test's room is planned where it is. */
const never = () => new Promise<never>(() => undefined);

/** Lets what a tap has started come to rest. */
export const settled = (): Promise<void> => act(async () => await new Promise((resolve) => setTimeout(resolve, 0)));
