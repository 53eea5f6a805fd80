import type { LeadPlan, Plan } from '@steddo/contract';
import type { Shape } from './scene';

/** Of the mark where a lead is plugged in, mm. */
const PLUG_MM = 14;

const ends = ({ path }: LeadPlan) => [path[0], path.at(-1)] as const;

/** Each lead along the wall as its length was worked out: from the set to its outlet. */
export const leadsOnFace = ({ leads = [] }: Plan): Shape[] =>
  leads.flatMap((lead): Shape[] => {
    const { id, what, path } = lead;
    if (path.length < 2) return [];
    const points = path.map(({ x, y }) => [x, y] as const);
    return [
      { kind: 'poly', role: 'lead', id: `lead-${id}`, points, closed: false },
      ...ends(lead).flatMap((end, i): Shape[] =>
        end
          ? [{ kind: 'circle', role: 'plug', id: `lead-${id}-${i}`, name: i === 0 ? what : '', ...end, r: PLUG_MM }]
          : [],
      ),
    ];
  });

/** The same from above: out at the set's back, in at the wall. */
export const leadsFromAbove = ({ leads = [] }: Plan, backMm: number): Shape[] =>
  leads.flatMap((lead): Shape[] => {
    const [from, to] = ends(lead);
    if (!from || !to || lead.path.length < 2) return [];
    return [
      {
        kind: 'poly',
        role: 'lead',
        id: `lead-${lead.id}`,
        closed: false,
        points: [[from.x, -backMm] as const, [to.x, -backMm / 2] as const, [to.x, 0] as const],
      },
    ];
  });
