import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Fault, Job } from '@steddo/contract';
import { applyChanges, inverted, replaceJob } from '@steddo/core';
import { bothSides, capital, changedThing } from '@steddo/text';
import type { OpenDispute } from '../../data/records';
import { rooms } from '../../data/shared';
import { useJob, useRoomContext } from '../../state/roomState';
import { Action } from '../../ui/Action';
import { Half, Notice, Pair } from '../../ui/Notice';
import { Switch } from '../../ui/Switch';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { momentText } from '../../ui/moment';

/** One thing that two people changed: both values, who and when, theirs shown on the drawing when asked for. */
export function DisputeNote({ id, dispute, editable }: { id: string; dispute: OpenDispute; editable: boolean }) {
  const palette = usePalette();
  const { say, preview } = useRoomContext();
  const job = useJob((j) => j);
  const [shown, setShown] = useState(false);
  const [faults, setFaults] = useState<Fault[]>([]);
  const { mine, theirs } = bothSides(dispute.changes, say);
  const who = dispute.who === '' ? 'another device' : dispute.who;
  const show = (on: boolean) => {
    setShown(on);
    preview(on ? replaceJob(job, withTheirs(job, dispute)) : undefined);
  };
  useEffect(() => () => preview(undefined), [preview]);
  const choose = (whose: 'mine' | 'theirs') => {
    preview(undefined);
    setFaults(rooms.choose(id, dispute.thing, whose));
  };
  const thing = changedThing(dispute.thing === '' ? [] : dispute.thing.split('.'), say);
  return (
    <Notice
      testID="dispute"
      title={`Two values: ${thing}`}
      text={`You and ${who} have both changed it${dispute.when === '' ? '' : `, theirs saved ${momentText(dispute.when)}`}. The rest of both is in the room.`}
    >
      <View style={{ gap: 2 }}>
        <Txt>{`Yours: ${mine}`}</Txt>
        <Txt>{`Theirs: ${theirs}`}</Txt>
      </View>
      <Switch label="show theirs on the drawing" on={shown} onChange={show} testID="dispute-show" />
      {faults.map((f, i) => (
        <Txt
          key={i}
          kind="small"
          color={palette.stop}
        >{`${capital(f.path)} ${f.reason}: yours does not go with what the room is now.`}</Txt>
      ))}
      {editable ? (
        <Pair>
          <Half>
            <Action quiet label="keep mine" testID="keep-mine" onPress={() => choose('mine')} />
          </Half>
          <Half>
            <Action quiet label="take theirs" testID="take-theirs" onPress={() => choose('theirs')} />
          </Half>
        </Pair>
      ) : null}
    </Notice>
  );
}

const withTheirs = (job: Job, dispute: OpenDispute): Job => applyChanges(job, inverted(dispute.changes));
