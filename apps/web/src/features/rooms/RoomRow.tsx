import { useCallback, useEffect, useRef, useState } from 'react';
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
import { Verdict } from '../../ui/Verdict';
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
}

const ROW_PX = 144;

/** A line of the list; it is worked out, or fetched, when it comes into sight. */
export function RoomRow({ room, titles, onLook, onRemoved }: RoomRowProps) {
  const palette = usePalette();
  const ref = useRef<View>(null);
  const seen = useSeen(ref);
  const [menu, setMenu] = useState(false);
  const { id, job } = room;
  const at = useRef<RoomAddress>(undefined);
  // tapped before it is known where its work goes on
  const going = useRef(false);
  const onPlace = useCallback((place: RoomAddress) => {
    at.current = place;
    if (going.current) router.push(place);
  }, []);
  const open = () => {
    const place = at.current ?? (seen && job ? undefined : openAt(id, job, 'room'));
    if (place) router.push(place);
    else going.current = true;
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
          {seen && job ? <Planned room={room} document={job} onPlace={onPlace} /> : <Named room={room} />}
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
  /** Told where a tap leads. */
  onPlace: (place: RoomAddress) => void;
}

function Planned({ room: { id, savedAt, waiting }, document, onPlace }: PlannedProps) {
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
          {listed?.plan ? <Verdict verdict={listed.plan.verdict} /> : null}
        </View>
        <Txt kind="small" soft lines={2}>
          {setLine(document, wordingFor(document))}
        </Txt>
        <Txt kind="small" lines={2}>
          {listed?.waits ?? '…'}
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
