/**
 * Mistakes that a test has to notice: sign, unit, factor, bound. Each is one change of one line of the
 * core, listed with the tests that are about it. `npm run verify` makes them one by one.
 */
const part = (name, tests, all) =>
  all.map(([file, from, to]) => ({ part: name, tests, file, from, to }));

export const MUTATIONS = [
  ...part(
    'screws',
    ['screws'],
    [
      ['screen/threads.ts', 'M6: 1,', 'M6: 0.75,'],
      ['screen/threads.ts', 'Number(name.slice(1))', 'Number(name.slice(1)) * 25.4'],
      [
        'screen/stackScrews.ts',
        "    ...way.washers.map((w) => leaf('washer', w,",
        "    ...way.washers.map((w) => leaf('washer', -w,",
      ],
      [
        'screen/stackScrews.ts',
        "leaf('insert-recess', insert.recess,",
        "leaf('insert-recess', 0 * insert.recess,",
      ],
      [
        'screen/stackScrews.ts',
        "minus('left-below-screw', depth, engagement)",
        "minus('left-below-screw', engagement, depth)",
      ],
      [
        'screen/stackScrews.ts',
        'engagement - (insert.depth - INSERT_FREE_MM)',
        'engagement - (insert.depth + INSERT_FREE_MM)',
      ],
      [
        'screen/stackScrews.ts',
        'shortBy(engagement, insert) <= SAME_MM &&',
        'shortBy(engagement, insert) <= 0.2 &&',
      ],
      ['screen/stackScrews.ts', 'b.engagement - a.engagement ||', 'a.engagement - b.engagement ||'],
      [
        'screen/stackScrews.ts',
        '{ turns: nearest.by / insert.pitch }',
        '{ turns: nearest.by * insert.pitch }',
      ],
      ['screen/stackScrews.ts', 'by: Math.max(short, long)', 'by: Math.min(short, long)'],
      [
        'screen/stackScrews.ts',
        'const to = stack + insert.depth - INSERT_FREE_MM;',
        'const to = stack + insert.depth;',
      ],
      ['screen/stackScrews.ts', 'const spacers = need ?', 'const spacers = bag.spacers ?'],
      [
        'screen/spacerNeed.ts',
        "minus('plugs-need', plug, folded)",
        "minus('plugs-need', folded, plug)",
      ],
      ['tolerances.ts', 'export const INSERT_FREE_MM = 1;', 'export const INSERT_FREE_MM = 2;'],
    ],
  ),
  ...part(
    'mounts',
    ['mount', 'seats', 'choosing'],
    [
      ['mount/typeAdvice.ts', '>= ACROSS_TURN_DEG', '> ACROSS_TURN_DEG + 5'],
      ['mount/typeAdvice.ts', 'Math.abs(s.across.value)', 's.across.value'],
      ['mount/typeAdvice.ts', '>= TILT_PLAIN_DEG', '>= TILT_PLAIN_DEG * 2'],
      ['mount/seatRules.ts', 'off > worst.off', 'off < worst.off'],
      [
        'mount/seatRules.ts',
        'rough && roughOff(mount, rough, at)',
        'rough && 0 * Number(roughOff(mount, rough, at))',
      ],
      ['mount/seatRules.ts', 'const lacking = value - limit;', 'const lacking = value;'],
      ['mount/seatRules.ts', 'const down = tilt.value >= 0;', 'const down = tilt.value < 0;'],
      ['mount/liftPeople.ts', 'const LOAD_KG = 23;', 'const LOAD_KG = 51;'],
      ['mount/liftPeople.ts', '0.003 * Math.abs(cm - 75)', '0.003 * Math.abs(cm)'],
      ['mount/liftPeople.ts', '0.82 + 4.5 / travel', '0.82 - 4.5 / travel'],
      ['mount/liftPeople.ts', 'Math.min(at(fromCm), at(toCm))', 'Math.max(at(fromCm), at(toCm))'],
      ['mount/compareMounts.ts', 'mount.maxMass - massKg', 'massKg - mount.maxMass'],
      [
        'mount/compareMounts.ts',
        'Math.min(Math.abs(swivel.left)',
        'Math.max(Math.abs(swivel.left)',
      ],
    ],
  ),
  ...part(
    'heights',
    ['placement', 'schools', 'conflicts', 'bruteForce', 'sight'],
    [
      ['geometry/intervals.ts', 'if (f.hi > from.at) from =', 'if (f.hi >= from.at + 1) from ='],
      ['geometry/intervals.ts', 'Math.max(f.lo, from.at)', 'Math.min(f.lo, from.at)'],
      [
        'geometry/intervals.ts',
        'const edge = wanted < from.at ? from : to;',
        'const edge = wanted < from.at ? to : from;',
      ],
      ['geometry/intervals.ts', 'Math.min(at - f.lo, f.hi - at)', 'Math.max(at - f.lo, f.hi - at)'],
      ['geometry/intervals.ts', 'relax.reduce((sum, r) => sum + r.amount, 0)', 'relax.length'],
      ['geometry/intervals.ts', '(!a || f.hi > a.hi ? f : a)', '(!a || f.hi < a.hi ? f : a)'],
      [
        'geometry/freeNear.ts',
        'wanted - below <= above - wanted',
        'wanted - below > above - wanted',
      ],
      [
        'placement/schools.ts',
        "minus('bottom-at-eyes', wish.centre, halfSet)",
        "sum('bottom-at-eyes', wish.centre, halfSet)",
      ],
      [
        'placement/schools.ts',
        "minus('left-free', upper, lower, height)",
        "minus('left-free', upper, lower)",
      ],
      [
        'placement/schools.ts',
        "minus('centre-from-top', to, halfSet)",
        "sum('centre-from-top', to, halfSet)",
      ],
      ['placement/schools.ts', 'const HALF = 0.5;', 'const HALF = 0.6;'],
      [
        'placement/liftOnFindings.ts',
        'i.bottom - set.top < needMm',
        'i.bottom - set.top < needMm / 2',
      ],
      ['tolerances.ts', 'export const EYE_SEATED_MM = 1300;', 'export const EYE_SEATED_MM = 1100;'],
    ],
  ),
  ...part(
    'sight',
    ['sight', 'schools', 'seats', 'screws'],
    [
      ['sight/viewerAngles.ts', "minus('above-eye', y, eye)", "minus('above-eye', eye, y)"],
      [
        'sight/viewerAngles.ts',
        "node('face-out', '+', 'mm', [...behind, thickness])",
        "node('face-out', '+', 'mm', [...behind])",
      ],
      [
        'sight/viewerAngles.ts',
        "node('from-rest', '-', 'deg', [centre, restingGaze(viewer, job)])",
        "node('from-rest', '+', 'deg', [centre, restingGaze(viewer, job)])",
      ],
      [
        'sight/viewerAngles.ts',
        "node('eye-run', 'hypot', 'mm', [along, across])",
        "node('eye-run', '+', 'mm', [along, across])",
      ],
      ['sight/viewerAngles.ts', '...(spacer ? [spacer] : [])', '...(spacer ? [] : [])'],
      [
        'sight/pictureDistances.ts',
        "half('half-width', width),\n    node('half-view', 'tan'",
        "width,\n    node('half-view', 'tan'",
      ],
      [
        'sight/pictureDistances.ts',
        "leaf('half-angle', degrees / 2, 'deg')",
        "leaf('half-angle', degrees, 'deg')",
      ],
      [
        'sight/pictureDistances.ts',
        "linesBound('lines-2160', height, 2160)",
        "linesBound('lines-2160', width, 2160)",
      ],
      ['sight/pictureDistances.ts', 'fills.value > FILLS_MOST_DEG', 'fills.value < FILLS_MOST_DEG'],
      ['sight/pictureDistances.ts', "leaf('two', 2, 'count')", "leaf('two', 1, 'count')"],
      [
        'sight/seatAngles.ts',
        "minus('eye-across', leaf('eye-x', v.x, 'mm', { path: path('x') }), centreX)",
        "minus('eye-across', centreX, leaf('eye-x', v.x, 'mm', { path: path('x') }))",
      ],
      ['sight/isComfortable.ts', '<= COMFORT_CENTRE_DEG', '<= COMFORT_CENTRE_DEG * 2'],
      ['tolerances.ts', 'export const SHARP_DEG = 1 / 60;', 'export const SHARP_DEG = 1 / 30;'],
    ],
  ),
  ...part(
    'chain',
    ['chain', 'placement', 'bruteForce'],
    [
      [
        'placement/chain.ts',
        "half('half-height', height),\n      leaf('pattern-up'",
        "height,\n      leaf('pattern-up'",
      ],
      [
        'placement/chain.ts',
        "leaf('pattern-up', job.screen.patternCentre?.up ?? 0,",
        "leaf('pattern-up', -(job.screen.patternCentre?.up ?? 0),",
      ],
      [
        'placement/chain.ts',
        "leaf('pattern-above-hook', above,",
        "leaf('pattern-above-hook', -above,",
      ],
      [
        'placement/chain.ts',
        "minus('bottom-to-plate', toHook, hookAbove(mount.hook.above))",
        "sum('bottom-to-plate', toHook, hookAbove(mount.hook.above))",
      ],
      ['placement/chain.ts', "minus('measured-from-bottom', height, value)", 'value'],
      [
        'placement/chain.ts',
        "minus('bottom-to-plate', up, within)",
        "sum('bottom-to-plate', up, within)",
      ],
      [
        'placement/chain.ts',
        "leaf('plate-height', plate.height,",
        "leaf('plate-height', plate.height / 2,",
      ],
      [
        'placement/chain.ts',
        '.sort((a, b) => a - b);\n\nfunction unused',
        '.sort((a, b) => b - a);\n\nfunction unused',
      ],
      [
        'placement/chain.ts',
        "sum('bottom-to-hook', toPlate, hookAbove(mount.hook.above))",
        "minus('bottom-to-hook', toPlate, hookAbove(mount.hook.above))",
      ],
      ['placement/chain.ts', '<= MEASURED_CHECK_MM', '<= MEASURED_CHECK_MM * 25.4'],
      [
        'placement/chain.ts',
        'const checks = [geometry, ...usable].filter((c) => c !== first);',
        'const checks = [geometry, ...usable].slice(0, 0);',
      ],
      ['placement/centreRule.ts', "half('wall-middle', wallWidth(job))", 'wallWidth(job)'],
      ['placement/centreRule.ts', 'mid(first) <= mid(second)', 'mid(first) > mid(second)'],
      [
        'scheme/placePlate.ts',
        'Math.abs(x.value - spot.nominal.value) <= slide + SAME_MM',
        'Math.abs(x.value - spot.nominal.value) <= slide * 2',
      ],
      ['scheme/placePlate.ts', "minus('plate-x', centred, play)", "sum('plate-x', centred, play)"],
      ['scheme/placePlate.ts', 'Math.abs(anywhere.shift) - slide', 'anywhere.shift - slide'],
    ],
  ),
  ...part(
    'reach',
    ['reach', 'sweep', 'seatPose', 'reachPlan'],
    [
      [
        'reach/arm.ts',
        '(r * r - a * a - b * b) / (2 * a * b)',
        '(r * r - a * a - b * b) / (a * b)',
      ],
      ['reach/arm.ts', 'f - Math.atan2(b * Math.sin(elbow)', 'f + Math.atan2(b * Math.sin(elbow)'],
      [
        'reach/arm.ts',
        'z: root.z + a * Math.cos(shoulder) + b * Math.cos(forearm),',
        'z: root.z + a * Math.cos(shoulder) + b * Math.sin(forearm),',
      ],
      [
        'reach/arm.ts',
        "fold === 'left' ? -arm.foldOffset : arm.foldOffset",
        "fold === 'right' ? -arm.foldOffset : arm.foldOffset",
      ],
      [
        'reach/arm.ts',
        'const share = (reachOf(mount) - thickness - head)',
        'const share = (reachOf(mount) + thickness - head)',
      ],
      [
        'reach/arm.ts',
        'value >= lo - AT_LIMIT && value <= hi + AT_LIMIT',
        'value >= lo - AT_LIMIT || value <= hi + AT_LIMIT',
      ],
      [
        'reach/sweep.ts',
        'const reach = (way.speed * (to - from)) / 2;',
        'const reach = (way.speed * (to - from)) / 40;',
      ],
      ['reach/sweep.ts', 'if (gap > reach) return false;', 'if (gap > -reach) return false;'],
      ['reach/sweep.ts', 'Math.max(-1, -g / r)', 'Math.max(-1, g / r)'],
      [
        'reach/sweep.ts',
        'const b = way * (wall.nx * v - wall.nz * u);',
        'const b = way * (wall.nx * v + wall.nz * u);',
      ],
      [
        'reach/sweep.ts',
        'for (const y of [base + reach, base - reach])',
        'for (const y of [base + reach])',
      ],
      ['reach/setShape.ts', 'z: z - along * sin + out * cos', 'z: z + along * sin + out * cos'],
      [
        'reach/setShape.ts',
        'Math.atan2(dx, dz) - Math.asin(aside / away)',
        'Math.atan2(dx, dz) + Math.asin(aside / away)',
      ],
      ['reach/seatPose.ts', 'off - SAME_OFF) * RADIAN_MM + z', 'off - SAME_OFF) * RADIAN_MM - z'],
      ['reach/seatPose.ts', 'return high + shape.head;', 'return high;'],
      ['reach/seatServices.ts', 'behind / ((setHeight / 2)', 'behind / (setHeight'],
      [
        'reach/cableRun.ts',
        '{ none: 1, one: 2, two: 3, scissor: 2 }',
        '{ none: 1, one: 2, two: 2, scissor: 2 }',
      ],
      [
        'reach/clearances.ts',
        "minus('room-above', edge('bottom'), topLeaf)",
        "minus('room-above', edge('bottom'), leaf('set-top', top, 'mm'))",
      ],
      [
        'reach/walkway.ts',
        'set.bottom <= WALKWAY.fromMm || set.bottom > WALKWAY.toMm',
        'set.bottom < WALKWAY.fromMm - 100 || set.bottom > WALKWAY.toMm',
      ],
      ['reach/cornerOut.ts', 'widthMm / 2', 'widthMm / Math.SQRT2'],
      ['tolerances.ts', 'outMm: 101.6, fromMm: 685.8', 'outMm: 106, fromMm: 685.8'],
      ['geometry/convex.ts', 'radius / Math.cos(Math.PI / (4 * SIDES))', 'radius'],
    ],
  ),
  ...part(
    'wall',
    ['wall', 'studWeights', 'everyWall', 'renewal', 'hazards', 'nextLook', 'otherWalls'],
    [
      [
        'wall/studWeights.ts',
        '(spacingMm * (1 - spurious)) / spurious',
        '(spacingMm * spurious) / (1 - spurious)',
      ],
      ['wall/studWeights.ts', 't.width / 2 - t.offset;', 't.width - t.offset;'],
      [
        'wall/studWeights.ts',
        "e.side === 'right' ? leftFace : rightFace",
        "e.side === 'right' ? rightFace : leftFace",
      ],
      ['wall/studWeights.ts', 'i++) logs[i]! -= 1;', 'i++) logs[i]! += 1;'],
      [
        'wall/studWeights.ts',
        "(e.found === 'wood' ? 1 : -1) * PROBE_TRUST",
        "(e.found === 'wood' ? 1 : 0) * PROBE_TRUST",
      ],
      [
        'wall/renewal.ts',
        'const open = (n: number) => beyond(n) / mean;',
        'const open = () => 1 / mean;',
      ],
      [
        'wall/pitchPrior.ts',
        'weight: ODD_PITCH_SHARE / (to - from + 1)',
        'weight: ODD_PITCH_SHARE',
      ],
      ['wall/wallBelief.ts', 'log: Math.log(share) + logZ', 'log: Math.log(share)'],
      ['wall/wallBelief.ts', 'against(widthMm - plyMm)', 'against(widthMm)'],
      ['wall/likeliestStuds.ts', 'if (queue[head]! < n - to) head += 1;', ''],
      [
        'wall/holeChance.ts',
        'const half = plyMm / 2 - EDGE_DIAMETERS * diameter;',
        'const half = plyMm / 2 - diameter;',
      ],
      ['wall/oddReadings.ts', 'says.log < 0 ? 1 - real : real', 'says.log < 0 ? real : real'],
      [
        'wall/studsOf.ts',
        "minus('stud-ply', centre, half('half-stud', plyWidth))",
        "minus('stud-ply', centre, leaf('half-stud', 0, 'mm'))",
      ],
      ['wall/lookOutcomes.ts', 'p: weighed[i]! / chance', 'p: weighed[i]!'],
      ['wall/nextLook.ts', 'return Math.max(0, after - now);', 'return Math.max(0, after);'],
      [
        'wall/probeRoutine.ts',
        'if (hollow) return (at + hollow.x) / 2;',
        'if (hollow) return hollow.x;',
      ],
      [
        'wall/masonryCourses.ts',
        '(course % 2 === 0 ? 0 : bond / 2)',
        '(course % 2 === 0 ? 0 : bond / 3)',
      ],
      ['wall/hazardZones.ts', 'right: right + m };', 'right };'],
      [
        'wall/hazardFindings.ts',
        "finding('seen-at-hole', 'stop'",
        "finding('seen-at-hole', 'caution'",
      ],
      ['wall/lookedAt.ts', "left && right ? 'clear'", "left || right ? 'clear'"],
      ['wall/holeVerdict.ts', "if (hazard === 'seen') return 'stop';", ''],
      ['tolerances.ts', 'besideMm: 76.2', 'besideMm: 7.62'],
    ],
  ),
  ...part(
    'loads',
    ['lags', 'loads'],
    [
      ['load/lagWithdrawal.ts', '(1800 * gravity ** 1.5 *', '(1800 * gravity ** 1.45 *'],
      ['load/lagYield.ts', 'b: gap + lm / 2', 'b: gap - lm / 2'],
      ['load/lagYield.ts', 'Math.max(2.2, 10 * dr + 0.5)', 'Math.max(2.2, 10 * d + 0.5)'],
      [
        'load/lagYield.ts',
        'penetration - lag.tipMm / 2 : penetration',
        'penetration : penetration',
      ],
      ['load/lagYield.ts', 'const across = 1 + angleDeg / 360;', 'const across = 1;'],
      ['load/lagTables.ts', 'export const PERMANENT = 0.9;', 'export const PERMANENT = 1;'],
      [
        'load/fastenerForces.ts',
        'shearX: load.side / n - twist *',
        'shearX: load.side / n + twist *',
      ],
      ['load/fastenerForces.ts', 'if (!solid && !oneLine)', 'if (!oneLine)'],
      [
        'load/groupUse.ts',
        'e: pose.e + packing, down: weights.set + weights.moving',
        'e: pose.e, down: weights.set + weights.moving',
      ],
      ['load/groupUse.ts', "moves(mount) ? ['none', 'left', 'right'] : ['none']", "['none']"],
      ['scheme/leadHole.ts', 'gravity <= 0.5 ? [0.4, 0.7]', 'gravity <= 0.5 ? [0.4, 0.8]'],
      ['load/holds.ts', 'tension: tension / RATING_FACTOR,', 'tension,'],
      [
        'load/holds.ts',
        "build.state === 'patched' || build.state === 'wet' ||",
        "build.state === 'patched' ||",
      ],
      [
        'load/holds.ts',
        '(tension * tension) / holds.tension',
        '(tension * tension) / shearAllowable',
      ],
    ],
  ),
  ...part(
    'schemes',
    ['schemes'],
    [
      [
        'scheme/ways.ts',
        "school === 'rated-anchors' ? 'arm-on-anchors' : 'arm-on-anchors-refused'",
        "'arm-on-anchors'",
      ],
      [
        'scheme/chooseSlots.ts',
        'const play = (at.slot.height - fastener.diameter) / 2;',
        'const play = at.slot.height - fastener.diameter;',
      ],
      [
        'scheme/drilledHoles.ts',
        'Math.hypot(s.x - x, s.y - y) >= s.keepOff',
        'Math.hypot(s.x - x, s.y - y) >= 0',
      ],
      [
        'scheme/drilledHoles.ts',
        "into === 'board') return !near(drilled.wood, WOOD_REACHES_MM + TOGGLE_ROOM_MM);",
        "into === 'board') return true;",
      ],
      [
        'scheme/solidChance.ts',
        'jointGap(courses, x, y, joint) >= JOINT_MM ? 1 : 0',
        'jointGap(courses, x, y, joint) >= 0 ? 1 : 0',
      ],
      ['scheme/holesOf.ts', 'NUMBERS_A_ROUND * drilled.round + i + 1', 'i + 1'],
    ],
  ),
];
