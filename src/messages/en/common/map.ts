export const map = {
  mapView: {
    map: 'Map',
    dayBefore: 'Previous day',
    today: 'Today',
    dayAfter: 'Next day',
    day: 'Day',
    mapSitesRound:
      'Map of {count} sites; {count2} {count2, plural, one {crew has} other {crews have}} a round on {day}',
    yard: 'Yard',
    crewsOwnYard: 'Crew yard',
    km: '{scaleKm} km',
    sitesStandHereOnce:
      'No sites on the map yet. Enter latitude and longitude under Customers, or import them under Import and export.',
    noCrewHasRound: 'No crew has visits on this day.',
    map2: 'on the map',
    daySheet: 'Day sheet',
    notMap: '{missing} {missing, plural, one {site is} other {sites are}} not on the map;',
    giveThemPlace: 'add their location',
  },
} as const
