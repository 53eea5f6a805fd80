import { View } from 'react-native';
import type { TolerancePlan } from '@steddo/contract';
import { rounded, sourceName } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';

const CELL_PX = 76;

/** The numbers of the chart: what is left with one error out. */
export function ToleranceTable({ tolerance }: { tolerance: TolerancePlan }) {
  const percent = (p: number) => rounded(p * 100, 1);
  return (
    <View role="table" aria-label="how sure it is, as it is and with one error left out" testID="tolerance-table">
      <Row cells={['without', 'all land', 'over 3 mm', 'height ±']} head />
      <Row
        cells={['nothing', percent(tolerance.allLand), percent(tolerance.over3), `${rounded(tolerance.height, 1)} mm`]}
      />
      {tolerance.sources.map((s) => (
        <Row
          key={s.id}
          id={s.id}
          cells={[sourceName(s.id), percent(s.allLand), percent(s.over3), `${rounded(s.height, 1)} mm`]}
        />
      ))}
    </View>
  );
}

function Row({ cells, head, id }: { cells: readonly string[]; head?: boolean; id?: string }) {
  const palette = usePalette();
  const [first, ...rest] = cells;
  return (
    <View
      role="row"
      {...(id ? { testID: `source-${id}` } : {})}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        paddingHorizontal: 16,
        minHeight: 38,
        borderBottomWidth: 1,
        borderBottomColor: palette.hairline,
      }}
    >
      <View role={head ? 'columnheader' : 'rowheader'} style={{ flex: 1 }}>
        <Txt kind={head ? 'small' : 'text'} soft={head}>
          {first}
        </Txt>
      </View>
      {rest.map((cell, i) => (
        <View key={i} role={head ? 'columnheader' : 'cell'} style={{ width: CELL_PX, alignItems: 'flex-end' }}>
          <Txt kind={head ? 'small' : 'bold'} soft={head}>
            {cell}
          </Txt>
        </View>
      ))}
    </View>
  );
}
