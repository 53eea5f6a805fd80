import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { tapeOf } from '@steddo/core';
import type { Asked } from '@steddo/export';
import { planFile } from '@steddo/text';
import type { RoomState } from '../data/rooms';
import { saveRoomFile } from '../features/kept/roomFile';
import { packed, picturesHere } from '../state/roomArchive';
import { useRoomContext } from '../state/roomState';
import { Action } from '../ui/Action';
import { Choice } from '../ui/Choice';
import { fileName, shareOrDownload } from '../ui/download';
import { today } from '../ui/moment';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { TemplateCheck } from '../work/TemplateCheck';
import { VisitField } from '../work/VisitField';
import { exportWorker } from '../worker/exports';
import { Part } from './HandOver';
import { lateText } from './lateText';
import { PageHead } from './PageHead';
import { RoomFrame } from './RoomFrame';
import { SaveState } from './SaveState';

/** A room on paper, at full size on the wall, and in other programs. */
export function SheetsPage({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state }) => <Sheets state={state} />}</RoomFrame>;
}

const PAPERS = [
  { value: 'a4', name: 'A4' },
  { value: 'letter', name: 'letter' },
] as const;
const VIEWS = [
  { value: 'face', name: 'face' },
  { value: 'above', name: 'above' },
  { value: 'side', name: 'side' },
  { value: 'section', name: 'section' },
  { value: 'template', name: 'template' },
] as const;

const TYPES = {
  pdf: 'application/pdf',
  template: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  csv: 'text/csv',
  ics: 'text/calendar',
} as const;

/** What a file is called: the room, what it is, the day. */
function nameOf(title: string, asked: Asked): string {
  const what =
    'view' in asked
      ? asked.view
      : 'what' in asked
        ? asked.what
        : asked.to === 'pdf'
          ? (asked.part ?? 'sheets')
          : asked.to;
  return fileName(`${title} ${what} ${today()}`, asked.to === 'template' ? 'pdf' : asked.to);
}

function Sheets({ state }: { state: RoomState }) {
  const { id } = state;
  const palette = usePalette();
  const { job, plan, late } = useRoomContext();
  const [paper, setPaper] = useState<(typeof PAPERS)[number]['value']>(job.units === 'imperial' ? 'letter' : 'a4');
  const [view, setView] = useState<(typeof VIEWS)[number]['value']>('face');
  const [busy, setBusy] = useState<string>();
  const [said, setSaid] = useState<{ ok: boolean; text: string }>();
  const make = async (what: string, asked: Asked) => {
    setBusy(what);
    setSaid(undefined);
    try {
      const pictures =
        asked.to === 'pdf' && (asked.part ?? 'record') === 'record' ? await picturesHere(id, job) : undefined;
      const made = await exportWorker().make({ job, plan, pictures }, asked);
      if (made.ok) await shareOrDownload(nameOf(job.title, asked), made.content as BlobPart, TYPES[asked.to]);
      setSaid(made.ok ? { ok: true, text: `${what}: made.` } : { ok: false, text: `${what}: ${made.why}.` });
    } catch (error) {
      setSaid({
        ok: false,
        text: `${what} could not be made (${(error as Error).message}). Nothing is lost; try again.`,
      });
    } finally {
      setBusy(undefined);
    }
  };
  const action = (label: string, testID: string, asked: Asked, first = false) => (
    <Action
      quiet={!first}
      label={busy === label ? `${label}: making it…` : label}
      testID={testID}
      disabled={busy !== undefined || late !== undefined}
      onPress={() => void make(label, asked)}
    />
  );
  const planJson = () =>
    void shareOrDownload(
      fileName(`${job.title} plan ${today()}`, 'json'),
      `${JSON.stringify(planFile(plan, job), null, 2)}\n`,
      'application/json',
    );
  const withPictures = async () => {
    const { bytes, lacking } = await packed([{ id, job }]);
    await shareOrDownload(fileName(`${job.title} ${today()}`, 'zip'), bytes as BlobPart, 'application/zip');
    const left = lacking > 0 ? ` Without ${lacking} that are on another device, or out of reach.` : '';
    setSaid({ ok: lacking === 0, text: `the room with its pictures: made.${left}` });
  };
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground }} testID="sheets">
      <PageHead
        title={`${job.title}: on paper`}
        back="back"
        onBack={() => (router.canGoBack() ? router.back() : router.replace(`/room/${id}/done`))}
        under={<SaveState state={state} />}
      />
      <ScrollView
        tabIndex={0}
        contentContainerStyle={{ width: '100%', maxWidth: 760, alignSelf: 'center', paddingBottom: 32 }}
      >
        {late ? (
          <View style={{ padding: 16 }}>
            <Txt kind="bold">{lateText(late)}</Txt>
          </View>
        ) : null}
        <Choice label="paper" options={PAPERS} value={paper} onChoose={setPaper} />
        <Part name="sheet, customer’s page and record">
          <View style={GAP}>
            {action('all three', 'make-pdf', { to: 'pdf', paper }, true)}
            {action('the sheet', 'make-sheet', { to: 'pdf', paper, part: 'sheet' })}
            {action('the customer’s page', 'make-customer', { to: 'pdf', paper, part: 'customer' })}
            {action('the record', 'make-record', { to: 'pdf', paper, part: 'record' })}
          </View>
        </Part>
        <Part name="template, at full size">
          <View style={GAP}>
            {action('template on sheets to glue', 'make-template', { to: 'template', paper })}
            {action('template on a roll', 'make-roll', { to: 'template', paper: 'roll' })}
            <TemplateCheck tape={tapeOf(job.units)} />
          </View>
        </Part>
        <Part name="drawings in millimetres">
          <Choice label="which" options={VIEWS} value={view} onChoose={setView} />
          <View style={GAP}>
            {action('drawing as SVG', 'make-svg', { to: 'svg', view })}
            {action('drawing as DXF', 'make-dxf', { to: 'dxf', view })}
          </View>
        </Part>
        <Part name="tables and files">
          <View style={GAP}>
            {action('holes as CSV', 'make-holes', { to: 'csv', what: 'holes' })}
            {action('parts as CSV', 'make-parts', { to: 'csv', what: 'parts' })}
            <Action quiet label="the plan as JSON" testID="make-plan" onPress={planJson} />
            <Action quiet label="the room as a file" testID="make-job" onPress={() => saveRoomFile(job)} />
            {(job.photos ?? []).length > 0 ? (
              <Action
                quiet
                label="the room with its pictures"
                testID="make-archive"
                onPress={() => void withPictures()}
              />
            ) : null}
          </View>
        </Part>
        <Part name="the visit, for a calendar">
          <View style={GAP}>
            <VisitField />
            {action('calendar entry', 'make-ics', { to: 'ics' })}
          </View>
        </Part>
        <View style={{ padding: 16 }}>
          <Txt kind="small" soft>
            Made on this device, without a signal. A check of arithmetic on what was entered, not an engineer’s
            approval; follow the leaflet and local codes.
          </Txt>
        </View>
      </ScrollView>
      {said ? (
        <View
          style={{
            padding: 12,
            borderTopWidth: 3,
            borderTopColor: said.ok ? palette.go : palette.stop,
            backgroundColor: palette.raised,
          }}
          role="status"
          testID="sheet-said"
        >
          <Txt kind="bold">{said.text}</Txt>
        </View>
      ) : null}
    </View>
  );
}

const GAP = { gap: 10, paddingVertical: 6 } as const;
