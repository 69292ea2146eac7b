export const season = {
  planForm: {
    kindVisit: 'Visit type',
    alreadyPlanned: 'Already planned:',
    on: '{jobName} on {day}',
    day: 'Day',
    windowBestAroundShare:
      'The window is {earliest} to {latest} {latest2}, best around {best}. Share of likely years in which the job is possible on that day:',
    pondHasNoWindow: 'This job has no season window here; choose any day.',
    years: '{likelihood} % of years',
    dayLiesOutsideWindow: 'This day is outside the window.',
    crewTime: 'Crew and time',
    thereNoCrewYet: 'There are no crews yet.',
    addOne: 'Add a crew',
    first: 'first.',
    crew: 'Crew',
    people: '{size, plural, one {one person} other {{size} people}}',
    start: 'Start',
    hasNothingElseDay: '{name} has no other visits that day.',
    clash: 'Conflict',
    longDay: 'Long day',
    endsAboutAfterStart: 'Ends about {end}, after {dayEnds}. Start earlier or send a larger crew.',
    overTwoDaysPond: 'Two days: the pond fills overnight and the fish go back the next morning',
    secondDayAboutSame:
      'Second day: {day}, {startTime}, about {second}. Same crew; tanks and aerator stay out overnight, and someone must check on them.',
    noteCrew: 'Note to crew',
    planCleanout: 'Schedule cleanout',
    planVisit: 'Schedule visit',
    about: 'About {minutes}, {startTime} to {end}',
    pumpHoseTakeTime: '; pump and hose set the pace',
    plainEstimateLoggedVisits:
      'The standard estimate is {totalMinutes}. From logged visits, working time is taken as {learntFactor} times that{some}.',
    pumpOut: 'Pump out',
    refillFromTap: 'Refill from tap',
    holdingTank: 'Holding tank',
    noFish: 'no fish',
    greenHandsSharedCrew: 'Green: work shared by the crew. Blue: pump and hose, which set their own pace.',
  },
  yearSource: {
    forecast: ', forecast of {forecastIssued}',
    yearWeatherObservedSo:
      'This year: weather observed so far{old}, then thirty likely continuations, calculated {liveAt}. Other years: the station’s normals.',
    fromStationsNormalsThirty:
      'From the station’s normals of {fetchedAt}: thirty likely years. This year’s weather is added as soon as it has been read.',
    oldWeather: 'Weather data out of date',
    lastForecast: '; the last forecast is of {forecastIssued}',
    weatherDeskDoesNot: 'The weather service is not answering{forecastIssued}. Later values are based on normals.',
    no: 'No',
    waterTemperatureLoggedFrom:
      '{readings} water {readings, plural, one {temperature} other {temperatures}} logged. From eight over two months on, the model is adjusted to this pond.',
    learntFromReadingsInstead: 'Adjusted to {readings} readings: error {fitErrorC} instead of {surveyErrorC}',
    checkedReadings: 'Checked against {readings} readings: error {surveyErrorC}',
    readingsSaySunKept:
      'According to the readings of {from} {from2} to {to} {to2}, {shade} % of the sun is shaded, {windShare} % of the station’s wind reaches the water, the air is {airOffsetC} {airOffsetC2} than at the station, and {depthShare} % of the mean depth mixes. On {readings} readings kept aside, the error was {fitErrorC}; from the survey alone it was {surveyErrorC}.',
    whatLearntForecastReadings:
      'On {readings} readings kept aside, the adjusted model ({fitErrorC}) was no better than the survey alone ({surveyErrorC}), so the survey is used.',
  },
  useVisitDrag: {
    confirmConflict: 'Conflict: {words}. Move the visit anyway?',
    moveAnyway: 'Move anyway',
    noConnectionVisitStays: 'No connection. The visit was not moved.',
  },
  timeAxis: {
    year: 'Year',
    quarter: 'Quarter',
    month: 'Month',
    week: 'Week',
  },
  crunchStrip: {
    hoursWantedCrews: 'Hours due and crew hours',
    weekHWantedCrews: 'Week of {monday}: {wantedMin} h due, {crewMin} crew hours',
    noWeekAsksMore: 'No week needs more hours than the crews have',
    moreHoursWantedThan: 'More hours due than crew hours in the weeks of {map}',
  },
  windowsList: {
    best: 'best {best}',
    planCleanout: 'Schedule cleanout',
    whyThen: 'Why this window',
    fewerWindows: 'Fewer windows',
    allWindowsYear: 'All windows of the year',
    daysThanUsual: '{days} days {days2} than usual',
  },
  seasonView: {
    anotherSite: 'another site',
    season: 'Season {year}',
    zoom: 'Zoom',
    moved: 'Visit moved.',
    print: 'Print',
    windowShown: 'Window',
    find: 'Find',
    siteCustomerTown: 'Site, customer or town',
    show: 'Show',
    order: 'Sort by',
    town: 'Group by town',
    ponds: '{count} of {count2} ponds',
    everyPondGetsRibbon:
      'Each pond has a row here with its water temperature, season windows and visits. Add your first pond to begin.',
    dragPlannedVisitAlong:
      ' Drag a planned visit along its row. With the keyboard, press Space on it, use the arrow keys (with Shift: weeks), then Enter to drop or Escape to cancel.',
    outlinedStretchWindowTick:
      'The outline marks the window for “{job}” and the tick its best day. ● planned, ◆ promised, ✓ done, ✕ missed.{mayPlan}',
    workOutPlan: 'Build plan',
    seeWhichWeeksGet: 'to see which weeks are tight.',
    lookingDaysAround: 'Checking nearby days…',
    tooFarPast: '{day}: too far away, or in the past.',
    costsNothing: 'no extra cost',
    costsMin: 'costs {costMin} min',
    savesMin: 'saves {costMin} min',
    fits: '{day}: fits, {cost}.',
    earlier: 'Earlier',
    from: 'from {from}',
    later: 'Later',
  },
  seasonRibbon: {
    planned: 'planned',
    done: 'done',
    underWay: 'in progress',
    warmestWeek: 'Warmest week {value}',
    noWeatherKnownYet: 'No weather data yet',
    best: '{jobLabel}: {earliest} – {latest}, best {best}',
    missedWindowEnded: '{jobLabel} missed: its window ended {latest}',
    missed: 'missed',
    promised: ', promised',
    at: '{job} at {siteName}, {at}, {crew}, {state}{promised}',
  },
  drag: {
    visit: '{job}, {site}, {pond}',
    pickedUp: '{visit}, picked up. The arrow keys carry it from day to day, with Shift from week to week.',
    putDown: '{visit}, put down on {day}',
    stays: '{visit}, stays where it was',
    how: 'Press Space to pick a visit up, the arrow keys to carry it, with Shift a week at a time, Space to put it down, Escape to leave it where it was.',
  },
  yearChart: {
    today: 'today',
    jan: 'Jan',
    feb: 'Feb',
    mar: 'Mar',
    apr: 'Apr',
    may: 'May',
    jun: 'Jun',
    jul: 'Jul',
    aug: 'Aug',
    sep: 'Sep',
    oct: 'Oct',
    nov: 'Nov',
    dec: 'Dec',
    water: 'Water, {symbol}',
    n10YearsBelow: '10th percentile',
    n90YearsBelow: '90th percentile',
    yearMiddle: 'This year, median',
    middleYear: 'Median year',
    usualYear: 'Normal year',
    measured: 'Measured',
    expectedWaterTemperatureThrough:
      'Expected water temperature through the year: median, and the band from the 10th to the 90th percentile',
  },
  tenDays: {
    waterNextTenDays: 'Water temperature, next ten days',
    n810: '{p10} to {p90} in 8 of 10',
  },
  seasonRows: {
    site: 'Site',
    windowEarliestFirst: 'Earliest window',
    town: 'Town',
    warmestFirst: 'Warmest water',
    allPonds: 'All ponds',
    agreedNotPlanned: 'Agreed, not planned',
    planned: 'Planned',
    done: 'Done',
    missed: 'Missed',
    noTown: 'No town',
  },
  seasonList: {
    seasonRibbons: 'Season overview',
  },
  jobNames: {
    'spring-cleanout': 'Spring cleanout',
    'cold-bacteria': 'Cold-water bacteria',
    'spring-startup': 'Spring startup',
    dividing: 'Divide and repot',
    'feeding-start': 'Begin feeding',
    'wetland-flush': 'Wetland flush',
    bacteria: 'Standard bacteria',
    'feeding-normal': 'Normal feeding',
    'tender-planting': 'Tender plants out',
    'high-summer': 'High-summer watch',
    netting: 'Netting up',
    'shade-down': 'Shade cloth down',
    'feeding-stop': 'Stop feeding',
    'cut-back': 'Autumn cut-back',
    'netting-off': 'Netting off',
    'winter-shutdown': 'Winter shutdown',
    'deicer-on': 'De-icer and aerator on',
    'winter-running': 'Ice watch on running falls',
  },
  missedAdvice: {
    'spring-cleanout':
      'From now on fish are active and leaves are out, and a cleanout stresses both. Do a light startup and a flush, and plan the cleanout for next spring.',
    'spring-startup':
      'Every warm week without a running filter feeds algae. Start up as soon as a crew is free, and expect green water for some weeks.',
    netting:
      'Leaves are in the water: net what floats, vacuum what has sunk before it rots, and net the pond for the rest of the leaf fall.',
    'winter-shutdown':
      'Pipes and pump may freeze while full. Drain what can still be drained at the next thaw, and check for cracks in spring.',
    'tender-planting': 'Planted late they have a short season, still better than cold water.',
    'wetland-flush':
      'Sludge keeps closing the bed. Flush in the next weeks that allow it; until then watch the level above the stone.',
  },
  windows: {
    to: '{earliest} to {latest}',
    aroundHoldsLikelyYears: 'Around {best} this holds in {likelihood} of {years} likely years',
    halfLikelyYearsMost: 'By {best} in half of {years} likely years; in most of them between {span}.',
    waterThenAbout: 'the water is then about {waterC}',
    iceOutWaterBetween:
      'Ice is out, water is between {cleanoutwaterc} and {cleanoutwaterc2}, leaves are not open yet and there is no frost below {hardFrostAirC}. {share}; {water}.',
    afterIceAboveWhile:
      'After the ice and above {coldBacteriaFromC}, while the water is too cold for standard strains (below {bacteriaWaterC}). {share}; {water}.',
    threeDayMeanWater: 'The three-day mean of the water reaches {bacteriaWaterC} and stays there. {turn}',
    waterMoreFiveDays:
      'Water is at {startupWaterC} or more for five days, and nights stay above freezing. {turn} Switch UV on then, and check the age of the lamp.',
    waterMoreGrowthOnly:
      'Water is at {startupWaterC} or more and growth is just beginning: up to two weeks after leaves open. {share}; {water}.',
    threeDayMeanWater2:
      'The three-day mean of the water reaches {feedingStartWaterC} and stays there. {turn} Begin with low-protein food.',
    threeDayMeanWater3: 'The three-day mean of the water reaches {feedingNormalWaterC} and stays there. {turn}',
    waterMoreWeekSo:
      'Water is at {flushWaterC} or more for a week, so that the bed recovers soon, and fish are not spawning in warming water of {spawningwaterc} to {spawningwaterc2}. {share}.',
    lastFrostPastWater: 'The last frost is past and the water stays at {tenderPlantsWaterC} or more. {turn}',
    waterMoreOxygenShort:
      'Water is at {highSummerWaterC} or more: oxygen is short at night and evaporation is highest. Put up shade cloth and run the aerator. {share}.',
    netsGoDaysBefore:
      'Nets go up {nettingleaddays} to {nettingleaddays2} days before the main leaf fall, as estimated from day length and autumn warmth. {share}.',
    daysAfterMainLeaf:
      '{nettingoffdays} to {nettingoffdays2} days after the main leaf fall the trees are bare; a net left up longer sags under snow. {share}.',
    weeksMeanWaterFalls:
      'The week’s mean of the water falls below {shadeDownWaterC}; cloth comes down before the storms. {turn}',
    threeDayMeanWater4: 'The three-day mean of the water falls below {feedingStopWaterC} for the winter. {turn}',
    afterFirstFrostColder:
      'After the first frost of {killingFrostAirC} or colder, before what it killed rots in the water. {turn}',
    waterBelowFallingNo:
      'Water below {shutdownWaterC} and falling, and no hard freeze below {hardFrostAirC} yet. {share}; {water}.',
    daysBeforeFirstIce:
      '{deicerleaddays} to {deicerleaddays2} days before the first ice. {share}. Keep a hole open; never smash the ice and never walk on it.',
    fromFirstIceRunning:
      'From the first ice on, check running falls for ice dams and the level for losses, and keep the intake off the bottom. {turn}',
  },
  problems: {
    csvDay: 'date: “{date}” is not a day such as 2026-04-09.',
    csvDayNotOver: 'date: {date} is not over yet.',
    csvRange: '{name}: “{text}” is not between {from} and {to}.',
    csvMaxBelowMin: 'max: {max} lies below the minimum {min}.',
  },
} as const
