import { Fragment } from 'react';
import { View } from 'react-native';
import { checksText, wallTitle } from '@steddo/text';
import { router } from 'expo-router';
import { Action } from '../../ui/Action';
import { Txt } from '../../ui/Txt';
import { PlanVerdict } from '../../ui/Verdict';
import { Findings } from '../../work/Findings';
import { Fold } from '../../ui/Fold';
import { timberLeft } from '../../state/nextStep';
import { useRoomContext } from '../../state/roomState';
import { FeltPart } from '../../work/FeltPart';
import { HoleRow } from './HoleRow';
import { ChecksPart } from './ChecksPart';
import { KitPart } from './KitPart';
import { LightPart } from './LightPart';
import { LoadPart } from './LoadPart';
import { PackingPart } from './PackingPart';
import { PartsPart } from './PartsPart';
import { MantelPart } from '../../work/MantelPart';
import { SkinPart } from '../../work/VehiclePart';
import { RemedyPart } from '../../work/RemedyPart';
import { SchemePart } from './SchemePart';
import { SetOutPart } from './SetOutPart';
import { TimberOffer, TimberPart } from './TimberPart';
import { PolicyPart } from './PolicyPart';

/** Will it hold, and where exactly: cautions first, the holes in drilling order, then what they rest on. */
export function HolesStage() {
  const { id, job, plan } = useRoomContext();
  const holes = plan.holes ?? [];
  const timberFirst = timberLeft(plan) > 0;
  return (
    <View>
      <View style={{ paddingHorizontal: 16, paddingTop: 10, flexDirection: 'row', alignItems: 'center', gap: 10 }}>
        <PlanVerdict plan={plan} />
        <View style={{ flex: 1 }}>
          <Txt kind="small" soft>
            A check of arithmetic on what was entered, not an engineer's approval. Follow the leaflet and local codes.
          </Txt>
        </View>
      </View>
      {holes.length > 0 ? (
        <View style={{ paddingHorizontal: 12, paddingTop: 10 }}>
          <Action
            label={timberFirst ? 'the timber first, one mark at a time' : 'at the wall, one mark at a time'}
            testID="to-ladder"
            onPress={() => router.push(`/room/${id}/${timberFirst ? 'timber' : 'ladder'}`)}
          />
        </View>
      ) : null}
      <Findings stage="holes" />
      {holes.length === 0 ? (
        <View style={{ padding: 16 }}>
          <Txt kind="bold">No holes yet: what is lacking stands above.</Txt>
        </View>
      ) : null}
      <SkinPart />
      <RemedyPart />
      <FeltPart />
      {holes.map((h, i) => (
        <Fragment key={h.id}>
          {h.wall && h.wall !== holes[i - 1]?.wall ? (
            <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>
              <Txt kind="bold" level={2}>
                {wallTitle(h.wall)}
              </Txt>
            </View>
          ) : null}
          <HoleRow hole={h} mark={plan.marks?.find((m) => m.id === h.id)} />
        </Fragment>
      ))}
      <TimberPart />
      {(plan.packing ?? job.choices?.packing) ? <PackingPart /> : null}
      {holes.length > 0 ? (
        <Fold name="how the marks come onto the wall">
          <SetOutPart />
        </Fold>
      ) : null}
      {plan.scheme ? (
        <Fold name="ways to hold it" start={holes.length === 0}>
          <SchemePart />
          <TimberOffer />
        </Fold>
      ) : null}
      {plan.mantel?.timber ? (
        <Fold name="mantel on its timber">
          <MantelPart />
        </Fold>
      ) : null}
      <Fold name="schools: studs or anchors" start={holes.length === 0}>
        <PolicyPart />
      </Fold>
      {plan.loads ? (
        <Fold name="loads on each fastener">
          <LoadPart />
        </Fold>
      ) : null}
      {holes.length > 0 && !plan.corner ? (
        <View style={{ padding: 12 }}>
          <Action
            quiet
            label="how sure is all of it?"
            testID="to-tolerance"
            onPress={() => router.push(`/room/${id}/tolerance`)}
          />
        </View>
      ) : null}
      {holes.length > 0 ? (
        <View style={{ paddingHorizontal: 12, paddingBottom: 12 }}>
          <Action
            quiet
            label="on paper: sheet, template, drawings"
            testID="to-sheets"
            onPress={() => router.push(`/room/${id}/sheets`)}
          />
        </View>
      ) : null}
      {holes.length > 0 && plan.checked ? (
        <Fold name={checksText(plan)}>
          <ChecksPart />
        </Fold>
      ) : null}
      <Fold name="parts and bits to take">
        <PartsPart />
      </Fold>
      <Fold name="kit: anchors, lags, bits">
        <KitPart />
      </Fold>
      <Fold name="light things on this wall">
        <LightPart />
      </Fold>
    </View>
  );
}
