/**
 * Amounts, gravities, warmths, days and hours as people write them, with what each means, worked out by hand, or the words that
 * its refusal must hold. One a line: what is written = the figure, or ? the words.
 *
 * @source units by definition: US gallon 3.785411784 L, imperial 4.54609 L, pound 453.59237 g; spoons 5 mL, cup 240 mL, US cup 236.588 mL
 */
export const WRITTEN = {
  /** L, for a maker with US gallons. */
  volume: `
    20 L = 20
    20L = 20
    20 l = 20
    20 litres = 20
    20 liters = 20
    1 litre = 1
    20 ltr = 20
    20.5 L = 20.5
    20,5 L = 20.5
    ~20 L = 20
    about 20 L = 20
    approx 20 L = 20
    approx. 20 L = 20
    ca. 20 L = 20
    around 4.5 L = 4.5
    20 = 20
    4½ L = 4.5
    4 1/2 L = 4.5
    1/2 L = 0.5
    .5 L = 0.5
    750 mL = 0.75
    750ml = 0.75
    75 cl = 0.75
    5 dl = 0.5
    330 cc = 0.33
    1,000 mL = 1
    1 gal = 3.785411784
    1 gallon = 3.785411784
    5 gallons = 18.92705892
    a gallon = 3.785411784
    half a gallon = 1.892705892
    one and a half gallons = 5.678117676
    2½ gal = 9.46352946
    1 US gal = 3.785411784
    1 imp gal = 4.54609
    1 imperial gallon = 4.54609
    1 UK gallon = 4.54609
    5 gal 2 qt = 20.819764812
    3 pints = 1.419529419
    a pint = 0.473176473
    2 qt = 1.892705892
    1 quart = 0.946352946
    2 cups = 0.473176473
    one cup = 0.2365882365
    12 fl oz = 0.35488235475
    12 oz = 0.35488235475
    2 tsp = 0.01
    1 tbsp = 0.015
    a tablespoon = 0.015
    two pints = 0.946352946
    20 - 25 L ? range
    20-25 L ? range
    20 to 25 L ? range
    1 or 2 L ? range
    -5 L ? has a sign
    +5 L ? has a sign
    1,500 L ? 1500 or 1.500
    20 kg ? not a unit of volume
    20 stone ? not a unit of volume
    20 C ? not a unit of volume
    five bucketfuls ? write it as 20 L
    lots ? write it as 20 L
    a bit ? write it as 20 L
    20 L 5 L ? more than one
    2 qt 1 gal ? more than one
    1 gal 2 ? leaves out a unit
    1.2.3 L ? not one number
    5000 L ? more than a home bench holds
    50 hl ? not a unit of volume
    4 3/2 L ? not a fraction
    1/0 L ? not a fraction`,
  /** The same words for a maker with imperial gallons. */
  imperialVolume: `
    1 gal = 4.54609
    half a gallon = 2.273045
    1 pint = 0.56826125
    2 quarts = 2.273045
    1 US gal = 3.785411784
    40 pints = 22.73045
    5 imp fl oz = 0.1420653125`,
  /** g, with bare figures as grams. */
  mass: `
    250 g = 250
    250g = 250
    250 gr = 250
    250 grams = 250
    1 gram = 1
    1.2 kg = 1200
    1,2 kg = 1200
    1½ kg = 1500
    1 1/2 kg = 1500
    1/2 kg = 500
    half a kilo = 500
    a kilo = 1000
    two kilos = 2000
    one and a half kg = 1500
    1,000 g = 1000
    500 mg = 0.5
    1 lb = 453.59237
    1 lb 4 oz = 566.9904625
    1lb 4oz = 566.9904625
    2 lbs = 907.18474
    a pound = 453.59237
    half a pound = 226.796185
    three quarters of a pound = 340.1942775
    a quarter of a pound = 113.3980925
    2 pounds and 8 oz = 1133.980925
    4 oz = 113.3980925
    8 ounces = 226.796185
    1 st = 6350.29318
    2 stone = 12700.58636
    ~300 g = 300
    about 300 g = 300
    0.04 oz = 1.133980925
    .3 g = 0.3
    300 = 300
    1 tonne = 1000000
    300 g - 350 g ? range
    300-350 g ? range
    2 or 3 kg ? range
    -300 g ? has a sign
    1,500 kg ? 1500 or 1.500
    300 L ? not a unit of weight
    2 tsp ? does not know what
    3 tablets ? does not know what
    2 cups ? does not know what
    2 lemons ? does not know what
    a handful ? write it as 250 g
    a pinch ? write it as 250 g
    some ? write it as 250 g
    4 oz 2 lb ? more than one
    2 lb 3 lb ? more than one
    300 g sugar ? not a unit of weight
    1 lb 4 ? leaves out a unit
    9000 kg ? more than a home bench holds`,
  /** g of pectic enzyme, 3 g a level teaspoon. */
  enzyme: `
    1 tsp = 3
    1 teaspoon = 3
    a teaspoon = 3
    half a tsp = 1.5
    ½ tsp = 1.5
    1½ tsp = 4.5
    one and a half teaspoons = 4.5
    1/4 tsp = 0.75
    a quarter tsp = 0.75
    three quarters of a teaspoon = 2.25
    2 tbsp = 18
    1 tablespoon = 9
    2 tsp. = 6
    4 tsp = 12
    2 tablets ? does not know what
    1 packet ? does not know what
    1-2 tsp ? range
    1 heaped tsp ? not a unit of weight`,
  /** g of white sugar, 4.2 g a level teaspoon. */
  sugar: `
    1 cup = 201.6
    2 cups = 403.2
    2 1/4 cups = 453.6
    2¼ cups = 453.6
    one and a half cups = 302.4
    half a cup = 100.8
    1 tbsp = 12.6
    2 drops = 6
    a cup = 201.6`,
  /** g of citric acid, 2.2 g a lemon. */
  citric: `
    2 lemons = 4.4
    a lemon = 2.2
    half a lemon = 1.1
    1½ lemons = 3.3
    1 tsp = 4.5`,
  /** g of tannin, 0.15 g a tea bag. */
  tannin: `
    4 tea bags = 0.6
    a tea bag = 0.15
    2 teabags = 0.3
    1/4 tsp = 0.55`,
  /** °C, with bare figures as °C. */
  temperature: `
    18 C = 18
    18C = 18
    18 °C = 18
    18° C = 18
    18°C = 18
    18 c = 18
    18 deg C = 18
    18 degrees = 18
    18 degrees C = 18
    18 celsius = 18
    18,5 C = 18.5
    18.5 C = 18.5
    -2 C = -2
    −2 C = -2
    18 = 18
    18° = 18
    64 F = 17.77777778
    64F = 17.77777778
    64 °F = 17.77777778
    64 f = 17.77777778
    64 deg F = 17.77777778
    64 fahrenheit = 17.77777778
    32 F = 0
    212 F = 100
    ~18 C = 18
    about 18 C = 18
    15-18 C ? range
    15 to 18 C ? range
    300 C ? no temperature
    18 C 64 F ? more than one
    18 L ? not a unit of temperature
    warm ? write it as 18 C
    room temperature ? write it as 18 C
    18 K ? not a unit of temperature`,
  /** °C, with bare figures as °F. */
  fahrenheit: `
    64 = 17.77777778
    64° = 17.77777778
    64 degrees = 17.77777778
    18 C = 18
    18° C = 18`,
  /** SG. */
  gravity: `
    1.048 = 1.048
    1,048 = 1.048
    1048 = 1.048
    1.05 = 1.05
    1.0485 = 1.0485
    0.998 = 0.998
    .998 = 0.998
    998 = 0.998
    1000 = 1
    1.000 = 1
    SG 1.048 = 1.048
    sg: 1.048 = 1.048
    OG 1.048 = 1.048
    FG 0.998 = 0.998
    1.048 SG = 1.048
    12 Bx = 1.0484
    12Bx = 1.0484
    12 bx = 1.0484
    12 °Bx = 1.0484
    12 brix = 1.0484
    brix 12 = 1.0484
    bx: 12 = 1.0484
    12 °Brix = 1.0484
    0 Bx = 1
    ~1.048 = 1.048
    about 1.048 = 1.048
    12.4 ? 12.4 °Bx (1.050)
    12 ? 12 °Bx (1.048)
    48 ? 48 Bx or 1.048
    0.55 ? 1.055
    0.048 ? write it as 1.048
    1.048-1.050 ? range
    1.048 to 1.050 ? range
    -1.048 ? has a sign
    10.48 ? Then write 10.48 Bx
    high ? write it as 1.048
    1.048 1.050 ? more than one
    50 points = 1.05
    48 pts = 1.048
    52 °Oe = 1.052
    200 points ? no juice has 200 points
    1.048 C ? not a unit of gravity
    1.0.48 ? not one number`,
  /** Days, on Friday 27 November 2026; empty where none is said. */
  day: `
    today = 
    this morning = 
    just now = 
    yesterday = 2026-11-26
    yesterday evening = 2026-11-26
    last night = 2026-11-26
    the day before yesterday = 2026-11-25
    day before yesterday = 2026-11-25
    3 days ago = 2026-11-24
    1 day ago = 2026-11-26
    monday = 2026-11-23
    on monday = 2026-11-23
    last monday = 2026-11-23
    mon = 2026-11-23
    tues = 2026-11-24
    wed = 2026-11-25
    thurs = 2026-11-26
    thu = 2026-11-26
    friday = 2026-11-20
    last fri = 2026-11-20
    on sat = 2026-11-21
    saturday = 2026-11-21
    on sun = 2026-11-22
    12 Nov = 2026-11-12
    12 november = 2026-11-12
    12th Nov = 2026-11-12
    the 12th of November = 2026-11-12
    Nov 12 = 2026-11-12
    nov 12th = 2026-11-12
    12 Nov 2025 = 2025-11-12
    November 12, 2025 = 2025-11-12
    28 Nov = 2025-11-28
    3 sept = 2026-09-03
    1 Jan = 2026-01-01
    31 Dec = 2025-12-31
    2026-11-12 = 2026-11-12
    31 Nov = 
    2026-13-01 = 
    next friday = 
    until friday = 
    by 30 Nov = 
    since monday = `,
  /** Hours; empty where none can be told. */
  hour: `
    14:30 = 14:30
    9:15 = 09:15
    1430 = 14:30
    9.15 = 09:15
    14h30 = 14:30
    2 pm = 14:00
    2pm = 14:00
    2:30 pm = 14:30
    2:30pm = 14:30
    2.30 pm = 14:30
    12 am = 00:00
    12 pm = 12:00
    12 a.m. = 00:00
    noon = 12:00
    midday = 12:00
    midnight = 00:00
    7 = 
    teatime = 
    25:00 = 
    13 pm = 
    9:75 = `,
} as const;
