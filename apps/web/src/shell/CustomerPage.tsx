import { useMemo, useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import type { Job, Plan, HeightRule } from '@steddo/contract';
import { followHeightRule, type Offer } from '@steddo/core';
import { roomFace, sideScene } from '@steddo/drawing';
import { comfortText, customerNotes, offerTitle } from '@steddo/text';
import { Drawing } from '../canvas/Drawing';
import { crewState } from '../data/crewState';
import { useFollowed } from '../data/followed';
import { LinksSheet } from '../features/crew/LinksSheet';
import { Action } from '../ui/Action';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Figure } from '../work/Figure';
import { usePosture } from '../ui/usePosture';
import { WorkingSheet } from '../work/WorkingSheet';
import { photoPath } from '../state/photoPath';
import { usePlanning } from '../state/planning';
import { useRoomContext } from '../state/roomState';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';

/** For the customer, held out over the sofa: two or three heights, with the people in the drawing. */
export function CustomerPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ posture }) => <Choosing id={id} wide={posture === 'wide'} />}</RoomFrame>;
}

function Choosing({ id, wide }: { id: string; wide: boolean }) {
  const { job, dispatch, readOnly } = useRoomContext();
  const crew = useFollowed(crewState);
  const [sending, setSending] = useState(false);
  const back = () => router.replace(`/room/${id}/height`);
  const onPhoto = () => router.push(photoPath(id, job));
  const take = (rule: HeightRule | undefined) => {
    if (rule) dispatch(followHeightRule(job, rule));
    back();
  };
  return (
    <>
      <Offers
        wide={wide}
        head={
          <PageHead title="How high would you like it?" back="back to the heights" onBack={back}>
            {crew.kind === 'in' ? (
              <Tap label="send it to the customer" testID="send-link" onPress={() => setSending(true)}>
                <Txt style={{ textDecorationLine: 'underline', paddingHorizontal: 12 }}>send a link</Txt>
              </Tap>
            ) : null}
          </PageHead>
        }
        choose={{ disabled: readOnly, take, onPhoto }}
      />
      <WorkingSheet />
      {sending ? <LinksSheet room={id} title={job.title} onClose={() => setSending(false)} /> : null}
    </>
  );
}

interface OffersProps {
  wide: boolean;
  head: ReactNode;
  /** Choosing one; nothing is chosen where it is only shown. */
  choose?: { disabled: boolean; take: (rule: HeightRule | undefined) => void; onPhoto: () => void };
}

/** Two or three heights, beside each other or one at a time. */
export function Offers({ wide, head, choose }: OffersProps) {
  const palette = usePalette();
  const { job } = useRoomContext();
  const { offeredHeights } = usePlanning();
  const offers = useMemo(() => offeredHeights(job), [job, offeredHeights]);
  const [at, setAt] = useState(0);
  const shown = wide ? offers : offers.slice(Math.min(at, offers.length - 1)).slice(0, 1);
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="customer">
      {head}
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
            <OfferView offer={o} title={offerTitle(offers.indexOf(o), o.heading)} choose={choose} />
          </View>
        ))}
      </View>
    </View>
  );
}

function OfferView({ offer, title, choose }: { offer: Offer; title: string; choose: OffersProps['choose'] }) {
  const { say } = useRoomContext();
  const palette = usePalette();
  const [numbers, setNumbers] = useState(false);
  const onSide = usePosture() === 'side';
  const { job, plan } = offer;
  return (
    <View style={{ flex: 1, flexDirection: onSide ? 'row' : 'column' }} testID={`offer-${offer.key}`}>
      <View style={{ flex: 1, flexDirection: onSide ? 'row' : 'column', minHeight: 0 }}>
        <OfferDrawings job={job} plan={plan} numbers={numbers} />
      </View>
      <View style={onSide ? { flex: 0.8 } : { maxHeight: '54%' }}>
        <ScrollView style={onSide ? { flex: 1 } : { flexGrow: 0 }} tabIndex={0}>
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
            {choose ? (
              <Tap label="show it on a photograph" testID="on-photo" onPress={choose.onPhoto}>
                <Txt style={{ textDecorationLine: 'underline' }}>show it on a photograph</Txt>
              </Tap>
            ) : null}
          </View>
        </ScrollView>
        <View style={{ padding: 8, backgroundColor: palette.raised }}>
          {choose ? (
            <Action
              label={offer.chosen ? 'keep this one' : 'this one'}
              testID={`take-${offer.key}`}
              disabled={choose.disabled}
              onPress={() => choose.take(offer.school)}
            />
          ) : null}
          <Txt kind="small" soft>
            {plan.placement
              ? `${!choose && offer.chosen ? 'chosen: ' : ''}centre ${say.length(plan.placement.centre.y)} from the floor`
              : ''}
          </Txt>
        </View>
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
