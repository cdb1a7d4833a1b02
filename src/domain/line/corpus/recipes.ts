/**
 * Lines that were typed on 29 November 2026 as recipes and barbecues have them, of which these were misread or lost
 * something; each with what a cook would expect of it, in the signs of gist.ts.
 */
export const RECIPES: readonly (readonly [line: string, means: string])[] = [
  ['forerib 3kg on 5 dec at 19:00', '3kg beef-rib-bone-in | @12-05T19:00'],
  ['forerib 3kg by 5 dec 7pm', '3kg beef-rib-bone-in | @12-05T19:00'],
  ['forerib 3kg 7pm no fan 170', '3kg beef-rib-bone-in oven170 | @11-24T19:00'],
  ['forerib 3kg 7pm 170, fan off', '3kg beef-rib-bone-in oven170 | @11-24T19:00'],
  ['forerib 3kg 7pm hot air 150', '3kg beef-rib-bone-in fan oven150 | @11-24T19:00'],
  ['forerib 3kg 7pm 180C/160C fan/gas 4', '3kg beef-rib-bone-in fan oven160 | @11-24T19:00'],
  ['forerib 3kg 7pm 180/160 fan', '3kg beef-rib-bone-in fan oven160 | @11-24T19:00'],
  ['forerib 3kg 7pm 180°C, fan 160°C, gas mark 4', '3kg beef-rib-bone-in fan oven160 | @11-24T19:00'],
  [
    'forerib 3kg 7pm 220C/200C fan/gas 7 for 20 minutes then 180C/160C fan/gas 4 for 1 hour',
    '3kg [160/60] [200/20] beef-rib-bone-in fan | @11-24T19:00',
  ],
  [
    'forerib 3kg 7pm 220C/200C fan/gas 7 for 20 minutes then 180C/160C fan/gas 4 to 52',
    '3kg [160>52] [200/20] beef-rib-bone-in fan | @11-24T19:00',
  ],
  ['forerib 3kg 7pm 160 fan/54 core', '3kg =54 beef-rib-bone-in fan oven160 | @11-24T19:00'],
  ['leg of lamb 7-hour for 8 people 7pm saturday', '?kg [120/420] lamb-leg-bone-in | @11-28T19:00 for8'],
  ['7 hour lamb shoulder 7pm saturday', '?kg [120/420] lamb-shoulder low-and-long | @11-28T19:00'],
  ['12-hour pork shoulder 3 kg 7pm saturday', '3kg [105/720] low-and-long pork-shoulder | @11-28T19:00'],
  ['24 hr brisket 5kg at 95 for sunday 1pm', '5kg [95/1440] beef-brisket low-and-long | @11-29T13:00'],
  ['lamb shoulder 2kg, 4 hours, 7pm', '2kg [low/240] lamb-shoulder | @11-24T19:00'],
  ['3kg forerib, 55 at the core, oven 100, 7pm', '3kg =55 beef-rib-bone-in oven100 | @11-24T19:00'],
  ['forerib 3kg centre 54 19:00', '3kg =54 beef-rib-bone-in | @11-24T19:00'],
  ['forerib 3kg till the middle reads 54, 7pm', '3kg beef-rib-bone-in pull54 | @11-24T19:00'],
  ['forerib 3kg until it hits 130 7pm', '3kg beef-rib-bone-in pull54 | @11-24T19:00'],
  ['forerib 3kg take out when it reads 50, 7pm', '3kg beef-rib-bone-in pull50 | @11-24T19:00'],
  ['forerib 3kg banquet of 80 7pm', '3kg beef-rib-bone-in | @11-24T19:00 for80'],
  ['forerib 3kg 7pm single oven', '3kg beef-rib-bone-in | @11-24T19:00'],
  ['whole beef fillet 2kg rare for 12 guests, 7.30 for 8', '2kg =rare beef-tenderloin | @11-24T20:00 for12'],
  ['half a turkey 4kg thursday 2pm', '4kg turkey | ?half @11-26T14:00 a'],
  [
    'beef tenderloin 4lb, grill 275 until 120 then sear, 6pm saturday',
    '1.81kg [*] [fire135>49] beef-tenderloin | @11-28T18:00',
  ],
  [
    'beef tenderloin 4lb, grill indirect 275 until 120 then direct sear, 6pm saturday',
    '1.81kg [*] [fire135>49] beef-tenderloin | @11-28T18:00',
  ],
  [
    'beef tenderloin 4lb, bbq 135C to 50C then sear over the coals 5 min, 6pm saturday',
    '1.81kg [*/5] [fire135>50] beef-tenderloin | @11-28T18:00',
  ],
  ['tri tip 2.5 lb smoke at 225 to 115 then sear hot, 6pm', '1.13kg [*] [fire107>46] beef-tri-tip | @11-24T18:00'],
  ['pork loin 2kg indirect bbq to 62, 7pm', '2kg =62 pork-loin two-zone-fire | @11-24T19:00'],
  ['low’n’slow lamb shoulder 2kg 130C sunday 1', '2kg lamb-shoulder low-and-long oven130 | @11-29T13:00'],
  ['ham spiral cut 10lb reheat 275 3pm', '4.54kg cooked-ham oven135 | @11-24T15:00'],
  ['2.3kg rolled rib of beef, 7pm', '2.3kg beef-rib-boneless | @11-24T19:00'],
  ['whole lamb leg 2kg 7pm', '2kg lamb-leg-bone-in | @11-24T19:00'],
  ['rump of veal 2kg 7pm', '2kg veal-loin | ?cut ?rump @11-24T19:00'],
  ['a pair of ducks 2 kg 7pm', '2kg duck x2 | @11-24T19:00'],
  ['whole lamb shoulder x 6 at 110 for 10 hours ready 1pm sunday', '?kg [110/600] lamb-shoulder x6 | @11-29T13:00'],
  ['Duck 2kg, prick skin, 180C fan 20min per 500g +20, 7.30pm', '2kg [180/100] duck fan note | @11-24T19:30'],
  [
    'Standing rib roast 10# 450 x 15 min then 325 until 125, 4pm',
    '4.54kg [163>52] [232/15] beef-rib-bone-in | @11-24T16:00',
  ],
  [
    '3 rib roast, 7lb, rub w/ salt, 250 deg till 120 internal, rest 30, broil 5 min, 6pm',
    '3.18kg [*/5] [121>49] beef-rib-bone-in rest30 salted | @11-24T18:00',
  ],
  [
    'rib 3kg 3 hours at 110 rest 20 sear 10 at 260, 7pm',
    '3kg [*260/10] [110/180] beef-rib-bone-in rest20 | @11-24T19:00',
  ],
  ['tenderloin 2kg 110 to 50 then pan, sat 8pm', '2kg [*pan] [110>50] beef-tenderloin | @11-28T20:00'],
  [
    'Turkey, 5.5kg, 190C/170C fan for 3hrs 40, covered with foil, remove for last 30 mins, 2pm xmas day',
    '5.5kg [170/220] fan foil turkey uncover@-30 | @12-25T14:00',
  ],
  ['beef striploins 4 x 5kg overnight at 60, 12:00 tomorrow', '5kg beef-strip-loin oven60 x4 | @11-25T12:00'],
  [
    'Pork shoulder 8lb @ 225F to 195F int, wrap w/ foil at 160, serve 5pm sat',
    '3.63kg [107>91] cover@>71 pork-shoulder | @11-28T17:00',
  ],
  ['2 pork tenderloins 1.25 lb ea, 400F 25 min, 6:30', '0.57kg [204/25] pork-tenderloin x2 | @11-24T18:30'],
]
