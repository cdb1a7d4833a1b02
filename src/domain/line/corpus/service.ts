/**
 * Lines that were typed on 29 November 2026 as restaurants, caterers and the continent write them, of which these were
 * misread or lost something; each with what a cook would expect of it, in the signs of gist.ts.
 */
export const SERVICE: readonly (readonly [line: string, means: string])[] = [
  ['tenderloin 2kg 120 to 48 sear, 7pm', '2kg [120>48] beef-tenderloin reverse-sear | @11-24T19:00'],
  ['tenderloin 2kg 120C to 48C, sear, 7pm', '2kg [120>48] beef-tenderloin reverse-sear | @11-24T19:00'],
  ['tenderloin 2kg sear 120 to 48, 7pm', '2kg [120>48] beef-tenderloin pan-first | @11-24T19:00'],
  ['striploin 3kg 100c until 46, pan sear, 8pm', '3kg [*pan] [100>46] beef-strip-loin | @11-24T20:00'],
  ['striploin 3kg 100c until 46 then hot oven, 8pm', '3kg [100>46] [hot] beef-strip-loin | @11-24T20:00'],
  ['striploin 3kg oven 100 pull at 46 sear in pan 8pm', '3kg [*pan] beef-strip-loin oven100 pull46 | @11-24T20:00'],
  [
    'striploin 4kg reverse sear 95°C pull 50 rest 30 blast 8 min 280, 20:30 saturday, 16 covers',
    '4kg [*280/8] beef-strip-loin oven95 pull50 rest30 reverse-sear | @11-28T20:30 for16',
  ],
  [
    'beef tenderloin 4.5 lb 275F to 120F sear, on the table by 6:45 PM for 10 people',
    '2.04kg [135>49] beef-tenderloin reverse-sear | @11-24T18:45 for10',
  ],
  [
    'prime rib 10 lb. 250F oven till 118F then crank to 500F 10 minutes, dinner 6',
    '4.54kg [121>48] [260/10] beef-rib-bone-in | @11-24T18:00',
  ],
  [
    'tri-tip 2.5lb, grill indirect till 115 then direct, 7pm',
    '1.13kg [*fire] [fire>46] beef-tri-tip two-zone-fire | @11-24T19:00',
  ],
  ['porchetta 4kg crackling, 6 hours from now', '4kg note pork-loin-stuffed-rolled | @11-24T15:00'],
  ['veal rack 2.4kg core 58 at 130C, 19:45 for 7', '2.4kg =58 oven130 veal-rib | @11-24T19:45 for7'],
  ['19:45 for 7, veal rack 2.4kg', '2.4kg veal-rib | @11-24T19:45 for7'],
  ['entrecôte 2.4kg 56, 7pm', '2.4kg =56 beef-rib-boneless | @11-24T19:00'],
  ['rib 2kg 56° 80°C oven 7pm', '2kg =56 beef-rib-bone-in oven80 | @11-24T19:00'],
  ['rib 2kg 56° oven 80°C 7pm', '2kg =56 beef-rib-bone-in oven80 | @11-24T19:00'],
  ['beef topside 1.2 kg, oven 150 fan, core 55, 19h', '1.2kg =55 beef-round-or-rump fan oven150 | @11-24T19:00'],
  ['brisket 5kg 110C 14h', '5kg [110/840] beef-brisket | '],
  ['silverside 2.3 medium 6pm', '2.3kg =medium beef-round-or-rump | @11-24T18:00'],
  ['turkey 5.5 christmas day 3pm', '5.5kg turkey | @12-25T15:00'],
  ['rib of beef 7.30', '?kg beef-rib-bone-in | @11-24T19:30'],
  [
    'lamb shoulder 2kg 5 hours at 150 covered then 30 uncovered at 200, sunday 14:00',
    '2kg [150/300+foil] [200/30+bare] lamb-shoulder | @11-29T14:00',
  ],
  [
    'turkey 6kg 3.5 hours at 170 foil on for first 2.5 hours, 3pm tomorrow',
    '6kg [170/210] turkey uncover@+150 | @11-25T15:00',
  ],
  ['turkey 6kg breast side down first hour, 3pm tomorrow', '6kg bird-turned turkey | @11-25T15:00'],
  ['ham 4kg cooked already just warm through, 4pm', '4kg cooked-ham | @11-24T16:00'],
  [
    'mutton leg 3.4 kg low and slow, falls off bone, 2:15pm',
    '3.4kg =pull-apart lamb-leg-bone-in low-and-long | @11-24T14:15',
  ],
  ['half lamb leg 2kg, charcoal, 18:00 saturday', '2kg lamb-leg-bone-in two-zone-fire | ?half @11-28T18:00'],
  ['pork loin rack 2.5kg 7pm', '2.5kg pork-rib-rack | @11-24T19:00'],
  ['turkey 15 lb brined smoked 275F to 165 breast, 2pm thursday', '6.8kg [fire135>74] brine turkey | @11-26T14:00'],
  [
    '6 lb pork butt, 225, wrap at 160, pull at 203, rest 1 hour in cooler, eat at 5pm saturday',
    '2.72kg cover@>71 oven107 pork-shoulder pull95 rest60 | @11-28T17:00',
  ],
  [
    'duck 5.5lb 300F 3 hours turn every hour then 400F 15 min, 7pm',
    '2.49kg [149/180] [204/15] duck turn/60 | @11-24T19:00',
  ],
  ['brisket 12 lb 225F 1.25 hours per pound, 6 pm tomorrow', '5.44kg [107/900] beef-brisket | @11-25T18:00'],
  ['goose 11 lb, 350 F, pour off fat, 4pm christmas', '4.99kg goose note oven177 | @12-25T16:00'],
  [
    '2 x 3kg prime rib, one medium rare one medium, 7pm saturday',
    '3kg =medium-rare beef-rib-bone-in | 3kg =medium beef-rib-bone-in | @11-28T19:00',
  ],
  ['beef fillet 1.5kg wrapped in parma ham 200C 52 8pm', '1.5kg =52 beef-tenderloin note oven200 | @11-24T20:00'],
  [
    'boneless leg of lamb 1.6kg butterflied bbq 20 min a side 7pm',
    '1.6kg [fire/40] lamb-leg-butterflied | @11-24T19:00',
  ],
  ['5 kg turkey defrosted, stuffing separately, 180 fan, 4 pm', '5kg fan note oven180 turkey | @11-24T16:00'],
  ['rib 3kg 3h rest 30 min oven 120 7pm', '3kg beef-rib-bone-in oven120 rest30 | ?3h @11-24T19:00'],
  ['lamb leg 2.2kg 60 160 1pm', '2.2kg =60 lamb-leg-bone-in oven160 | @11-24T13:00'],
  ['rib 3kg mr 19.30 hrs', '3kg =medium-rare beef-rib-bone-in | @11-24T19:30'],
  ['rib 3kg mr 1930 hrs', '3kg =medium-rare beef-rib-bone-in | @11-24T19:30'],
  ['rib 3kg 125F-130F 7pm', '3kg =53 beef-rib-bone-in | @11-24T19:00'],
  ['rib 3kg 52-54 7pm', '3kg =53 beef-rib-bone-in | @11-24T19:00'],
  ['beef rib 3kg 120 to 50, seared, 7pm', '3kg [120>50] beef-rib-bone-in reverse-sear | @11-24T19:00'],
  ['lamb rack 1kg sear, 200 to 52, rest 8, 7pm', '1kg [200>52] lamb-rack pan-first rest8 | @11-24T19:00'],
  ['rib 3kg 8-10 people 7pm', '3kg beef-rib-bone-in | @11-24T19:00 for10'],
  ['rib 3kg 52-54 people 7pm', '3kg beef-rib-bone-in | @11-24T19:00 for54'],
]
