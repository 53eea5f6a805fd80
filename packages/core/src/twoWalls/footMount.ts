import type { Mount } from '@steddo/contract';

/** One foot as a mount of its own: half of the leaflet's screws, its share of the label and of the weights, in one column of wood. */
export function footMount(mount: Mount, share: number, folded: number): Mount {
  const { corner: _, swivel: _s, ...rest } = mount;
  const walls = Object.fromEntries(
    Object.entries(mount.walls).map(([kind, wall]) => [
      kind,
      wall?.fixing ? { ...wall, fixing: { ...wall.fixing, count: Math.ceil(wall.fixing.count / 2) } } : wall,
    ]),
  );
  const part = (kg: number | undefined) => (kg === undefined ? undefined : kg * share);
  return {
    ...rest,
    walls,
    maxMass: mount.maxMass * share,
    ...(mount.mass === undefined ? {} : { mass: part(mount.mass)! }),
    ...(mount.movingMass === undefined ? {} : { movingMass: part(mount.movingMass)! }),
    studs: { count: 1 },
    slide: 0,
    arm: { kind: 'links', ...(mount.arm?.head === undefined ? {} : { head: mount.arm.head }) },
    depth: { folded: Math.max(0, folded) },
  };
}
