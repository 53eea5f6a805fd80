import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { Job } from '@steddo/contract';
import { setLine, wordingFor } from '@steddo/text';
import { bringSeen, type ListedRoom } from '../../data/useLists';
import { IconTap } from '../../ui/Action';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { useSeen } from '../../ui/useSeen';
import { PlanVerdict } from '../../ui/Verdict';
import { momentText } from '../../ui/moment';
import { useListedPlan } from './listedPlans';
import { RoomMenu } from './RoomMenu';
import { WallSketch } from './WallSketch';

export interface RoomRowProps {
  room: ListedRoom;
  titles: readonly string[];
  /** Looked at more closely: with the pointer or the keys on it. */
  onLook: (id: string) => void;
  onRemoved: (room: ListedRoom) => void;
  /** Tapped before it was known where its work goes on: the last such row of the list opens by itself. */
  going: boolean;
  onGoing: (id: string | undefined) => void;
}

const ROW_PX = 144;

/** A line of the list; it is worked out, or fetched, when it comes into sight. */
export function RoomRow({ room, titles, onLook, onRemoved, going, onGoing }: RoomRowProps) {
  const palette = usePalette();
  const ref = useRef<View>(null);
  const seen = useSeen(ref);
  const [menu, setMenu] = useState(false);
  const { id, job } = room;
  const [at, setAt] = useState<RoomAddress>();
  useEffect(() => {
    if (!going || !at) return;
    onGoing(undefined);
    router.push(at);
  }, [going, at, onGoing]);
  const open = () => {
    const place = at ?? (seen && job ? undefined : openAt(id, job, 'room'));
    onGoing(place ? undefined : id);
    if (place) router.push(place);
  };
  const missing = seen && !job;
  useEffect(() => {
    if (missing) bringSeen(id);
  }, [missing, id]);
  return (
    <View
      ref={ref}
      style={{
        minHeight: ROW_PX,
        flexDirection: 'row',
        alignItems: 'center',
        borderTopWidth: 1,
        borderTopColor: palette.hairline,
      }}
    >
      <View style={{ flex: 1, minWidth: 0 }}>
        {/* the same row before and after it is worked out, so that nobody's finger meets another one */}
        <Tap
          role="link"
          testID={`room-${id}`}
          onPress={open}
          onLook={() => onLook(id)}
          style={{ paddingVertical: 10, paddingLeft: 12 }}
        >
          {seen && job ? <Planned room={room} document={job} going={going} onPlace={setAt} /> : <Named room={room} />}
        </Tap>
      </View>
      {job ? (
        <IconTap icon="more" label={`${room.title}: name, copies, take away`} onPress={() => setMenu(true)} />
      ) : null}
      {menu && job ? (
        <RoomMenu room={room} job={job} titles={titles} onClose={() => setMenu(false)} onRemoved={onRemoved} />
      ) : null}
    </View>
  );
}

function Named({ room: { title, job } }: { room: ListedRoom }) {
  return (
    <>
      <Txt kind="bold" style={TITLE}>
        {title}
      </Txt>
      {job ? null : (
        <Txt kind="small" soft>
          on the server, not on this device yet
        </Txt>
      )}
    </>
  );
}

const TITLE = { fontSize: 18, lineHeight: 24 } as const;

interface PlannedProps {
  room: ListedRoom;
  document: Job;
  going: boolean;
  /** Told where a tap leads. */
  onPlace: (place: RoomAddress) => void;
}

function Planned({ room: { id, savedAt, waiting }, document, going, onPlace }: PlannedProps) {
  const listed = useListedPlan(document);
  const stage = listed?.stage;
  useEffect(() => {
    if (stage) onPlace(openAt(id, document, stage));
  }, [onPlace, id, document, stage]);
  const where = waiting ? 'on this device, not sent yet' : savedAt === '' ? '' : momentText(savedAt);
  return (
    <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
      <WallSketch sketch={listed?.sketch} />
      <View style={{ flex: 1, minWidth: 0 }}>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', columnGap: 8 }}>
          <Txt kind="bold" style={TITLE}>
            {document.title}
          </Txt>
          {listed?.plan ? <PlanVerdict plan={listed.plan} /> : null}
        </View>
        <Txt kind="small" soft lines={2}>
          {setLine(document, wordingFor(document))}
        </Txt>
        <Txt kind="small" lines={2}>
          {listed?.waits ?? (going ? 'It opens as soon as it is worked out.' : '…')}
        </Txt>
        {where ? (
          <Txt kind="small" soft>
            {where}
          </Txt>
        ) : null}
      </View>
    </View>
  );
}

type RoomAddress = `/room/${string}`;

/** Where the work goes on; what is done opens at its summary. */
export const openAt = (id: string, job: Job | undefined, stage: string): RoomAddress =>
  `/room/${id}/${job?.record?.done === undefined ? stage : 'done'}`;
