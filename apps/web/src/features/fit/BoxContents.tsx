import { View } from 'react-native';
import { rounded } from '@steddo/text';
import { useRoomContext } from '../../state/roomState';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

/** What the mount's bag should have, and which of it is used. */
export function BoxContents() {
  const { job, plan } = useRoomContext();
  const palette = usePalette();
  const { bag, arm } = job.mount ?? {};
  const { screws = [], screwCheck } = plan.screen;
  const chosen = screws.find((s) => s.id === screwCheck?.chosen);
  const rows = [
    { what: arm ? 'plate, arm and head' : 'plate and two arms', used: true },
    ...(bag?.screws ?? []).map((s) => ({
      what: `screws ${s.thread} x ${rounded(s.length, 1)}`,
      used: chosen?.thread === s.thread && chosen.length === s.length,
    })),
    ...(bag?.spacers ?? []).map((s) => ({ what: `spacers ${rounded(s, 1)} mm`, used: chosen?.spacer === s })),
    ...(bag?.washers ?? []).map((w) => ({
      what: `washers ${rounded(w, 1)} mm`,
      used: chosen?.washers.includes(w) ?? false,
    })),
  ];
  return (
    <View testID="box">
      {rows.map(({ what, used }) => (
        <View
          key={what}
          style={{
            flexDirection: 'row',
            paddingHorizontal: 16,
            paddingVertical: 8,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flex: 1 }}>
            <Txt>{what}</Txt>
          </View>
          <Txt kind="small" soft={!used}>
            {used ? 'used here' : 'stays with the customer'}
          </Txt>
        </View>
      ))}
      <View style={{ padding: 16 }}>
        <Txt kind="small" soft>
          {bag
            ? 'Against the leaflet: every part there, nothing bent. A missing one is a second visit.'
            : 'Nobody has said what this mount’s bag has; the leaflet has a list.'}
        </Txt>
      </View>
    </View>
  );
}
