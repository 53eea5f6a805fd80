import type { ReactNode } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Scene } from '@steddo/drawing';
import { Drawing } from '../canvas/Drawing';
import type { RoomState } from '../data/rooms';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { usePalette } from '../ui/tokens';
import type { Posture } from '../ui/usePosture';
import { AtMark } from './AtMark';
import { PageHead } from './PageHead';
import { SaveState } from './SaveState';

interface Props {
  state: RoomState;
  posture: Posture;
  testID: string;
  title: string;
  /** What is drawn, and what it is called, while there is a hole to drill. */
  scene: Scene | undefined;
  label: string;
  face: ReactNode;
  other: ReactNode;
  good: ReactNode;
  /** What is said when there is none left. */
  after: ReactNode;
}

/** The holes of a timber at the wall, one after the other; then what follows. */
export function HolesAtWall({ state, posture, testID, title, scene, label, face, other, good, after }: Props) {
  const { id } = state;
  const { job } = useRoomContext();
  const palette = usePalette();
  const leave = () => (router.canGoBack() ? router.back() : router.replace(`/room/${id}/holes`));
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID={testID}>
      <PageHead title={title} back="back to the holes" onBack={leave} under={<SaveState state={state} />} />
      {scene ? (
        <AtMark
          posture={posture}
          drawing={
            <Drawing scene={scene} box={scene.focus} label={label} testID={`${testID}-timber`} units={job.units} />
          }
          {...{ face, other, good }}
        />
      ) : (
        <View style={{ flex: 1, padding: 20, gap: 16, justifyContent: 'center' }}>
          {after}
          <Action label="back to the holes" onPress={() => router.replace(`/room/${id}/holes`)} />
        </View>
      )}
    </View>
  );
}
