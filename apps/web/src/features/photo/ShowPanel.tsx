import { useState } from 'react';
import { View } from 'react-native';
import type { Photo } from '@steddo/contract';
import { followHeightRule, type Offer } from '@steddo/core';
import { offerTitle } from '@steddo/text';
import { pictures } from '../../data/shared';
import { useRoomContext } from '../../state/roomState';
import { keepPicture } from '../../state/takePictures';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Txt } from '../../ui/Txt';
import type { Paint } from '../../worker/paint';
import { paintPicture } from '../../worker/pictures';
import { ARMS, OVER, type Shown } from './useShown';

/** The set on the photograph: at which height, swung out or not, with what is behind it; chosen and kept from here. */
export function ShowPanel({
  shown,
  said,
  photo,
  paints,
}: {
  shown: Shown;
  said: string;
  photo: Photo;
  paints: readonly Paint[];
}) {
  const { offers, offer, pose, arm, over, setKey, setArm, setOver } = shown;
  return (
    <View testID="show">
      <View style={{ paddingHorizontal: 16, paddingVertical: 8 }}>
        <Txt testID="photo-said">{said}</Txt>
      </View>
      {offers.length > 1 ? (
        <Choice
          label="height"
          options={offers.map((o, i) => ({ value: o.key, name: offerTitle(i, o.heading) }))}
          value={offer?.key}
          onChoose={setKey}
        />
      ) : null}
      {pose ? <Choice label="the arm" options={ARMS} value={arm} onChoose={setArm} /> : null}
      <Choice label="draw" options={OVER} value={over} onChoose={setOver} />
      <View style={{ padding: 16, gap: 8 }}>
        {offer ? <ChooseHeight offer={offer} /> : null}
        <KeepPart photo={photo} paints={paints} />
      </View>
    </View>
  );
}

/** The customer's word, said before the photograph. */
function ChooseHeight({ offer }: { offer: Offer }) {
  const { job, dispatch, readOnly, say } = useRoomContext();
  const { school } = offer;
  if (offer.chosen || !school)
    return (
      <Txt testID="height-chosen">{`Chosen: centre ${say.length(offer.plan.placement?.centre.y ?? 0)} from the floor.`}</Txt>
    );
  return (
    <Action
      label="this height"
      testID="choose-height"
      disabled={readOnly}
      onPress={() => dispatch(followHeightRule(job, school))}
    />
  );
}

/** What is seen as a picture of its own: in the record, and for the customer. */
function KeepPart({ photo, paints }: { photo: Photo; paints: readonly Paint[] }) {
  const { id: room, dispatch, readOnly } = useRoomContext();
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const keep = async () => {
    setBusy(true);
    const bytes = await pictures.bytesOf(room, photo.id);
    const made =
      bytes &&
      (await paintPicture(bytes, paints).catch((error: Error) => ({ ok: false as const, why: error.message })));
    const fault = !made
      ? 'the picture is not here'
      : made.ok
        ? await keepPicture(room, 'room', made, dispatch, photo.id)
        : made.why;
    setSaid(fault === undefined ? 'Kept among the room’s pictures, and in its record.' : `It ${fault}.`);
    setBusy(false);
  };
  return (
    <>
      <Action
        label={busy ? 'keeping it…' : 'keep it as a picture'}
        disabled={busy || readOnly || paints.length === 0}
        testID="keep-photo"
        onPress={() => void keep()}
      />
      {said ? <Txt testID="photo-kept">{said}</Txt> : null}
      <Txt kind="small" soft>
        Drawn to scale from what was measured and tapped; a drawing, not a promise. The holes go by the tape, never by a
        photograph.
      </Txt>
    </>
  );
}
