export const tubCare = {
  tubCareOverflow: {
    title: 'Overflow hole open, its mesh clean',
  },
  tubCareChangeWater: {
    title: 'Change a part of the water',
    detail:
      'Daily for the first days of a new tub, then as the tests say. Treated, and of the same temperature. Write down how much; 0 if none.',
    safety:
      'To planting beds; not to storm drains or streams unless the local rules allow it. The label governs: never more than it allows, never mix products.',
  },
  tubCareTubPlants: {
    title: 'Thin floating plants to half cover',
  },
  tubCareTubAlgae: {
    title: 'Algae out by hand',
  },
  tubCareMosquito: {
    title: 'Mosquito larvae?',
    none: 'None',
    few: 'A few, fish take them',
    many: 'Many: skimmed off',
  },
  tubCareCover: {
    title: 'Cover against cats and birds; place for the season',
    detail: 'In winter frost-free or deep enough; in summer not in full sun all day. Few small fish.',
    safety:
      'A tub is deep enough to drown a small child: grid or cover it. Lift full containers with two people or a machine above {heavy}.',
  },
  tubCareCareCards: {
    title: 'Leave the care cards asked for',
    detail:
      'Green water and water fleas: stir daily, feed sparingly, harvest before they crash, keep a spare. Fry: apart while they fit into a mouth, back when they do not. Holidays: a cover, a topped-up tub, no feeding by neighbours.',
  },
}
