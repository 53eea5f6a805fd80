import { useState } from 'react';
import { View } from 'react-native';
import useSWR, { mutate } from 'swr';
import type { CustomerLink } from '@steddo/contract';
import { fetchLinks, makeLink, withdrawLink } from '../../data/crewApi';
import { failureText } from '../../data/request';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Notice } from '../../ui/Notice';
import { sendAddress } from '../../ui/sendAddress';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { momentText } from '../../ui/moment';

/** Links by which the customer sees this room at home: a new one, and those that still show it. */
export function LinksSheet({ room, title, onClose }: { room: string; title: string; onClose: () => void }) {
  const key = ['links', room];
  const { data, error } = useSWR(key, () => fetchLinks(room));
  const [made, setMade] = useState('');
  const [said, setSaid] = useState('');
  const act = async (work: () => Promise<void>) => {
    try {
      await work();
      setSaid('');
    } catch (failed) {
      setSaid(failureText(failed));
    }
    await mutate(key);
  };
  const make = () =>
    act(async () => {
      const { secret } = await makeLink(room);
      setMade(`${window.location.origin}/shown#${secret}`);
    });
  return (
    <BottomSheet title="Send it to the customer" onClose={onClose} testID="links">
      <View style={{ gap: 12 }}>
        <Txt>
          Whoever has the link sees this room’s heights and its record, and nothing else; they change nothing. It can be
          withdrawn.
        </Txt>
        {made === '' ? (
          <Action label="make a link" testID="make-link" onPress={() => void make()} />
        ) : (
          <Made address={made} title={title} />
        )}
        {said ? <Notice tone="stop" testID="link-said" text={said} /> : null}
        {error ? <Notice tone="note" text="The links are on the server, and it cannot be reached." /> : null}
        {(data ?? []).map((link) => (
          <LinkRow key={link.id} link={link} onWithdraw={() => void act(() => withdrawLink(room, link.id))} />
        ))}
      </View>
    </BottomSheet>
  );
}

/** The link itself is told here once: the server keeps what it needs to know it again, and no more. */
function Made({ address, title }: { address: string; title: string }) {
  const palette = usePalette();
  const [said, setSaid] = useState('');
  const send = async () => {
    const how = await sendAddress(address, title);
    setSaid(how === 'copied' ? 'Copied: paste it into a message.' : how === 'sent' ? '' : 'Mark it above and copy it.');
  };
  return (
    <View style={{ gap: 10, padding: 12, backgroundColor: palette.raised }}>
      <Txt kind="small" testID="link-address" style={{ userSelect: 'all', wordBreak: 'break-all' } as object}>
        {address}
      </Txt>
      <Action label="send or copy it" testID="send-address" onPress={() => void send()} />
      {said ? <Txt testID="address-said">{said}</Txt> : null}
      <Txt kind="small" soft>
        It is shown this once; make another one if it is lost.
      </Txt>
    </View>
  );
}

function LinkRow({ link, onWithdraw }: { link: CustomerLink; onWithdraw: () => void }) {
  const palette = usePalette();
  const { id, madeAt, madeBy, opened, openedAt, withdrawnAt } = link;
  const times = opened === 1 ? 'once' : `${opened} times`;
  const looked = opened === 0 ? 'not opened yet' : `opened ${times}, last ${momentText(openedAt)}`;
  return (
    <View testID={`link-${id}`} style={{ gap: 6, paddingTop: 10, borderTopWidth: 1, borderTopColor: palette.hairline }}>
      <Txt kind="bold">{`made ${momentText(madeAt)}${madeBy === '' ? '' : ` by ${madeBy}`}`}</Txt>
      <Txt kind="small" soft>
        {withdrawnAt === undefined ? looked : `withdrawn ${momentText(withdrawnAt)}; ${looked}`}
      </Txt>
      {withdrawnAt === undefined ? (
        <Action quiet label="withdraw it" testID={`withdraw-${id}`} onPress={onWithdraw} />
      ) : null}
    </View>
  );
}
