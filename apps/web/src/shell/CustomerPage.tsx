import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Job, Plan, HeightRule } from '@steddo/contract';
import { followHeightRule, offeredHeights, type Offer } from '@steddo/core';
import { roomFace, sideScene } from '@steddo/drawing';
import { comfortText, customerNotes, offerTitle } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { Action, IconTap } from '../ui/Action';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Figure } from '../work/Figure';
import { isBeside } from '../ui/usePosture';
import { WorkingSheet } from '../work/WorkingSheet';
import { useRoomContext } from '../state/roomState';
import { RoomFrame } from './RoomScreen';

/** For the customer, held out over the sofa: two or three heights, with the people in the drawing. */
export function CustomerPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ posture }) => <Offers id={id} wide={isBeside(posture)} />}</RoomFrame>;
}

function Offers({ id, wide }: { id: string; wide: boolean }) {
  const palette = usePalette();
  const { job, dispatch, readOnly } = useRoomContext();
  const offers = useMemo(() => offeredHeights(job), [job]);
  const [at, setAt] = useState(0);
  const back = () => router.replace(`/room/${id}/height`);
  const take = (school: HeightRule | undefined) => {
    if (school) dispatch(followHeightRule(job, school));
    back();
  };
  const shown = wide ? offers : offers.slice(Math.min(at, offers.length - 1)).slice(0, 1);
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="customer">
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <IconTap icon="back" label="back to the heights" onPress={back} />
        <Txt kind="title" level={1}>
          How high would you like it?
        </Txt>
      </View>
      {offers.length === 0 ? (
        <View style={{ padding: 24 }}>
          <Txt>There is no height to choose from yet: the room needs an eye height, and a place that is free.</Txt>
        </View>
      ) : null}
      {!wide && offers.length > 1 ? (
        <View role="tablist" aria-label="heights to choose from" style={{ flexDirection: 'row' }}>
          {offers.map((o, i) => (
            <Tap
              key={o.key}
              role="tab"
              selected={i === at}
              label={offerTitle(i, o.heading)}
              testID={`offer-tab-${i}`}
              onPress={() => setAt(i)}
              style={{
                flex: 1,
                alignItems: 'center',
                paddingHorizontal: 10,
                borderBottomWidth: i === at ? 4 : 1,
                borderBottomColor: i === at ? palette.action : palette.hairline,
              }}
            >
              <Txt kind={i === at ? 'bold' : 'text'} style={{ textAlign: 'center' }}>
                {offerTitle(i, o.heading)}
              </Txt>
            </Tap>
          ))}
        </View>
      ) : null}
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
        {shown.map((o, i) => (
          <View
            key={o.key}
            style={{ flex: 1, borderLeftWidth: wide && i > 0 ? 1 : 0, borderLeftColor: palette.hairline }}
          >
            <OfferView
              offer={o}
              title={offerTitle(offers.indexOf(o), o.heading)}
              onTake={() => take(o.school)}
              readOnly={readOnly}
            />
          </View>
        ))}
      </View>
      <WorkingSheet />
    </View>
  );
}

function OfferView({
  offer,
  title,
  onTake,
  readOnly,
}: {
  offer: Offer;
  title: string;
  onTake: () => void;
  readOnly: boolean;
}) {
  const { say } = useRoomContext();
  const palette = usePalette();
  const [numbers, setNumbers] = useState(false);
  const { job, plan } = offer;
  return (
    <View style={{ flex: 1 }} testID={`offer-${offer.key}`}>
      <OfferDrawings job={job} plan={plan} numbers={numbers} />
      <ScrollView style={{ flexGrow: 0, maxHeight: '46%' }} tabIndex={0}>
        <View style={{ padding: 16, gap: 8 }}>
          <Txt kind="title" level={2}>
            {title}
          </Txt>
          <Txt>{comfortText(plan.placement?.angles ?? [], job)}</Txt>
          {customerNotes(plan, job, say).map((note) => (
            <Txt key={note}>{note}</Txt>
          ))}
          {numbers ? <Numbers plan={plan} /> : null}
          <Tap
            label={numbers ? 'hide the numbers' : 'show the numbers'}
            testID="numbers"
            onPress={() => setNumbers(!numbers)}
          >
            <Txt style={{ textDecorationLine: 'underline' }}>{numbers ? 'hide the numbers' : 'show the numbers'}</Txt>
          </Tap>
        </View>
      </ScrollView>
      <View style={{ padding: 8, backgroundColor: palette.raised }}>
        <Action
          label={offer.chosen ? 'keep this one' : 'this one'}
          testID={`take-${offer.key}`}
          disabled={readOnly}
          onPress={onTake}
        />
        <Txt kind="small" soft>
          {plan.placement ? `centre ${say.length(plan.placement.centre.y)} from the floor` : ''}
        </Txt>
      </View>
    </View>
  );
}

function Numbers({ plan }: { plan: Plan }) {
  const up = (id: string) => plan.marks?.find((m) => m.id === id)?.workings.fromFloor;
  const tilt = plan.placement?.tiltWorking;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 18 }} testID="offer-numbers">
      {(['top', 'centre', 'bottom'] as const).map((id) => {
        const working = up(id);
        return working ? <Figure key={id} label={id} working={working} /> : null;
      })}
      {tilt ? <Figure label="tilt needed" working={tilt} /> : null}
    </View>
  );
}

function OfferDrawings({ job, plan, numbers }: { job: Job; plan: Plan; numbers: boolean }) {
  const side = useMemo(() => sideScene(job, plan), [job, plan]);
  const face = useMemo(() => roomFace(job, plan, 'none'), [job, plan]);
  const bare = <S extends { labels: readonly unknown[] }>(scene: S): S => (numbers ? scene : { ...scene, labels: [] });
  return (
    <>
      <View style={{ flex: 1.1 }}>
        <Drawing
          scene={bare(side)}
          box={side.bounds}
          units={job.units}
          label="from the side, with everybody in it"
          testID="offer-side"
        />
      </View>
      <View style={{ flex: 1 }}>
        <Drawing
          scene={bare(face)}
          box={face.bounds}
          units={job.units}
          label="the wall from the seats"
          testID="offer-face"
        />
      </View>
    </>
  );
}
