import type { ReactNode } from 'react';
import { PadProvider } from '../pad/PadContext';
import { ArmProvider } from '../state/armState';
import { CanvasProvider } from '../state/canvasState';
import { HelpProvider } from '../state/helpState';
import { WallProvider, type InstrumentsByWall } from '../state/wallState';
import { WorkingProvider } from '../work/WorkingContext';

/** What a hand works with in a room, none of it part of the job: workings, pad, drawings, arm, wall. */
export function RoomTools({ instruments, children }: { instruments?: InstrumentsByWall; children: ReactNode }) {
  return (
    <HelpProvider>
      <WorkingProvider>
        <PadProvider>
          <CanvasProvider>
            <ArmProvider>
              <WallProvider {...(instruments ? { instruments } : {})}>{children}</WallProvider>
            </ArmProvider>
          </CanvasProvider>
        </PadProvider>
      </WorkingProvider>
    </HelpProvider>
  );
}
