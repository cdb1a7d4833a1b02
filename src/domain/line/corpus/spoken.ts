/**
 * Lines that were typed on 30 November 2026 as they are spoken to a telephone, and lists of several roasts, of which
 * these were misread or lost something; each with what a cook would expect of it, in the signs of gist.ts.
 */
export const SPOKEN: readonly (readonly [line: string, means: string])[] = [
  ["um so it's a turkey about fourteen pounds and we want to eat around three ish", '6.35kg turkey | @11-24T15:00'],
  [
    'the big turkey is eighteen pounds four ounces stuffed and we sit down at four sharp',
    '8.28kg stuffed turkey | @11-24T16:00',
  ],
  [
    'hey can you do a pork belly one point eight kilos with crackling for seven o clock tonight',
    '1.8kg note pork-belly | @11-24T19:00',
  ],
  ['turkey crown two and a half kilo twelve noon', '2.5kg turkey-breast-bone-in | @11-24T12:00'],
  ['1 kilo 800 of pork loin at 7pm', '1.8kg pork-loin | @11-24T19:00'],
  ['1kg500 chicken 7pm', '1.5kg chicken | @11-24T19:00'],
  ['1 kg 250 g beef fillet 8pm rare', '1.25kg =rare beef-tenderloin | @11-24T20:00'],
  ['leg of lamb 2kg 300 grams 7.30pm', '2.3kg lamb-leg-bone-in | @11-24T19:30'],
  [
    'roast beef two kilos at one eighty medium rare eat at seven fifteen',
    '2kg =medium-rare beef-rib-bone-in oven180 | ?cut @11-24T19:15',
  ],
  [
    'prime rib 3kg at two hundred and fifty for twenty minutes then one sixty until fifty two, eight people, seven thirty',
    '3kg [160>52] [250/20] beef-rib-bone-in | @11-24T19:30 for8',
  ],
  ['turkey twenty two pounds dinner at five forty five for sixteen', '9.98kg turkey | @11-24T17:45 for16'],
  ['chicken two kilos three fifty degrees for an hour and a half dinner at six', '2kg [177/90] chicken | @11-24T18:00'],
  [
    'leg of lamb for fifteen people, four kilos, two hundred then one seventy, half past one',
    '4kg [170] [200] lamb-leg-bone-in | @11-24T13:30 for15',
  ],
  ['dinner for eighteen at nineteen hundred, two ribs five kilos each', '5kg beef-rib-bone-in x2 | @11-24T19:00 for18'],
  [
    'rib of beef three point five kilos medium rare at seven fifteen',
    '3.5kg =medium-rare beef-rib-bone-in | @11-24T19:15',
  ],
  ["brisket five kilos, one hundred and ten overnight, one o'clock sunday", '5kg beef-brisket oven110 | @11-29T13:00'],
  [
    'rib roast 3 bones 3kg, one twenty until fifty two then two fifty for ten minutes, eight pm',
    '3kg [120>52] [250/10] beef-rib-bone-in | @11-24T20:00',
  ],
  ['pork loin, boned, 2 kg, sixty three degrees core, six thirty p.m.', '2kg =63 pork-loin | @11-24T18:30'],
  ['roast chicken 1.7 kg at one ninety an hour and ten, seven pm', '1.7kg [190/70] chicken | @11-24T19:00'],
  [
    'for twelve: a nineteen pound turkey, a ten pound smoked ham, four o clock thanksgiving',
    '8.62kg turkey | 4.54kg smoked-ham | @11-26T16:00 for12',
  ],
  ['a 19 pound turkey, a 10 pound smoked ham, 4pm thanksgiving', '8.62kg turkey | 4.54kg smoked-ham | @11-26T16:00'],
  [
    'a turkey of 6 kilos, a gammon of 3 and a rib of beef of 2.5, everything for 3 pm',
    '6kg turkey | 3kg smoked-ham | 2.5kg beef-rib-bone-in | @11-24T15:00',
  ],
  [
    'roast 1: beef rib 3kg medium rare; roast 2: pork belly 2kg; dinner 19:30',
    '3kg =medium-rare beef-rib-bone-in | 2kg pork-belly | @11-24T19:30',
  ],
  [
    '1. turkey 14lb 2. smoked ham 8lb 3. prime rib 6lb, 5pm',
    '6.35kg turkey | 3.63kg smoked-ham | 2.72kg beef-rib-bone-in | @11-24T17:00',
  ],
  ['smoked ham 3kg for breakfast at 9', '3kg smoked-ham | @11-25T09:00'],
  [
    'ribeye roast (boneless prime rib) 5 lbs; reverse sear: 225 oven to 118, rest 30, 500 for 8 min; dinner 7',
    '2.27kg [*260/8] [107>48] beef-rib-boneless rest30 reverse-sear | @11-24T19:00',
  ],
  [
    'roast beef for slicing cold tomorrow, eye of round 3 lb, rare',
    '1.36kg =rare beef-eye-of-round | ?slicing @11-25T19:00',
  ],
  [
    'TURKEY 6KG SERVES 10 PREP 30 MINS COOK 3 HRS 15 MINS 180C (160C FAN) GAS 4 FOR 3PM',
    '6kg [160/195] fan turkey | @11-24T15:00 for10',
  ],
  [
    'my brisket is 13 pounds, wrapped at 165 in butcher paper, smoker at 250, lunch at 1',
    '5.9kg beef-brisket cover@>74 note oven121 two-zone-fire | @11-24T13:00',
  ],
  [
    'chuck roast 4lb 275 until probe tender dinner at 6',
    '1.81kg beef-shoulder oven135 until-falls_apart | @11-24T18:00',
  ],
  [
    'smoked turkey breast 6 lb 240F hickory 5pm',
    '2.72kg note oven116 turkey-breast-bone-in two-zone-fire | @11-24T17:00',
  ],
  ["leg lamb 2kg dinner 8, I'm home at 6", '2kg lamb-leg-bone-in note | @11-24T20:00'],
  ['rib 3kg eat 7, oven must be off by 6', '3kg beef-rib-bone-in note | @11-24T19:00'],
  ['20 portions of roast sirloin at 180g each, 7.30pm', '3.6kg beef-strip-loin | @11-24T19:30 for20'],
  [
    'lamb shoulder 2 kg 4 hours 150 covered, 1 hr uncovered, 7pm',
    '2kg [150/240+foil] [150/60+bare] lamb-shoulder | @11-24T19:00',
  ],
  [
    'pork butt 9lbs on at midnight smoker 225 serve 2pm sunday',
    '4.08kg oven107 pork-shoulder two-zone-fire | ?in @11-29T14:00',
  ],
  ['six pound cooked ham just needs warming and a glaze for noon', '2.72kg cooked-ham glaze note | @11-24T12:00'],
  ["gigot d'agneau 2,4 kg rosé 19h30", '2.4kg =pink lamb-leg-bone-in | @11-24T19:30'],
  [
    'turkey 6kg, smoked ham 4kg, topside 2kg; dinner 3pm; 2 ovens; 14 people',
    '6kg turkey | 4kg smoked-ham | 2kg beef-round-or-rump | @11-24T15:00 for14 ovens2',
  ],
  [
    'two chickens 1.8kg and a 3kg rib of beef, all at 7, one oven',
    '1.8kg chicken x2 | 3kg beef-rib-bone-in | @11-24T19:00 ovens1',
  ],
  [
    'wedding 120 covers, sirloin 4 x 5kg medium rare, service 18:30, 2 combi ovens',
    '5kg =medium-rare beef-strip-loin x4 | @11-24T18:30 for120 ovens2',
  ],
  [
    'okay we have two legs of lamb each about two kilos pink for eight people at quarter to eight',
    '2kg =pink lamb-leg-bone-in x2 | @11-24T19:45 for8',
  ],
  ['2 x 1.5kg chickens different times 6pm and 7:30pm', '1.5kg chicken x2 | 1@11-24T18:00 1@11-24T19:30'],
  ['turkey 20lb thawed, 325F, foil tent last hour, 5pm', '9.07kg cover@-60 oven163 turkey | @11-24T17:00'],
  ['silverside 1.4kg 1pm 20 min per 500g + 20 min 190C', '1.4kg [190/76] beef-round-or-rump | @11-24T13:00'],
  ['beef top rump 1.8kg 1hr 45 at 170 medium 1:30pm', '1.8kg =medium [170/105] beef-round-or-rump | @11-24T13:30'],
  ['smoked ham 6kg bone in, cloves and brown sugar, 160, 2pm dec 25', '6kg note oven160 smoked-ham | @12-25T14:00'],
  ['crown roast of pork 12 ribs 4kg stuffing in middle 6pm', '4kg pork-rib-rack stuffed | @11-24T18:00'],
  ['pork shoulder 4kg 10 hours in the smoker, 6pm', '4kg [firelow/600] pork-shoulder | @11-24T18:00'],
  ['turkey six point five kilos, in at nine thirty, eat at two', '6.5kg turkey | @11-24T14:00 from@11-24T09:30'],
  ['chicken 1.7kg in the oven by 5 ready by 6:30', '1.7kg chicken | @11-24T18:30 from@11-24T17:00'],
  ['I need a 16 pound turkey done by 3 on Thursday', '7.26kg turkey | @11-26T15:00'],
  ['goose 5 kg, 2.5 hours at 180, pour off fat, 7pm', '5kg [180/150] goose note | @11-24T19:00'],
  [
    "we've got a rib of beef about four kilos and I'd like it medium rare for eight people at half seven",
    '4kg =medium-rare beef-rib-bone-in | @11-24T19:30 for8',
  ],
  [
    "a three and a half kilo rib of beef and two chickens one point six each for eight o'clock",
    '3.5kg beef-rib-bone-in | 1.6kg chicken x2 | @11-24T20:00',
  ],
  ["put the turkey down for two o'clock, it's five and a half kilos, stuffed", '5.5kg stuffed turkey | @11-24T14:00'],
  [
    'prime rib six pounds, two hundred twenty five degrees until one twenty, then five hundred for ten minutes, seven p m',
    '2.72kg [107>49] [260/10] beef-rib-bone-in | @11-24T19:00',
  ],
  ['chicken one and a half kilos, four twenty five, dinner at six', '1.5kg chicken oven218 | @11-24T18:00'],
  ['twenty pound turkey in a three twenty five oven, eat at four', '9.07kg oven163 turkey | @11-24T16:00'],
  [
    "turkey breast five pounds three fifty to one sixty, five o'clock",
    '2.27kg [177>71] turkey-breast-bone-in | @11-24T17:00',
  ],
  [
    'duck two kilos one sixty for two hours then two twenty for fifteen minutes, seven thirty',
    '2kg [160/120] [220/15] duck | @11-24T19:30',
  ],
  ['goose eleven pounds christmas day at two', '4.99kg goose | @12-25T14:00'],
  [
    'brisket twelve pounds at two fifty smoker wrap at one sixty five pull at two oh three, five pm tomorrow',
    '5.44kg beef-brisket cover@>74 oven121 pull95 two-zone-fire | @11-25T17:00',
  ],
  ['half a leg of lamb a kilo and a quarter, rare, seven', '1.25kg =rare lamb-leg-bone-in | @11-24T19:00'],
  [
    'fillet a kilo point two, one twenty until fifty, sear, eight',
    '1.2kg [120>50] beef-tenderloin reverse-sear | @11-24T20:00',
  ],
  [
    'lamb shoulder two kilos, seven hours at one ten, dinner seven thirty',
    '2kg [110/420] lamb-shoulder | @11-24T19:30',
  ],
  ['poussins four of them five hundred grams each half past seven', '0.5kg cornish-hen x4 | @11-24T19:30'],
  [
    "the roast is a topside kilo and a half, pink in the middle, gravy, one o'clock, six of us",
    '1.5kg =pink beef-round-or-rump | @11-24T13:00 for6',
  ],
  [
    'silverside one point seven kilos well done twelve forty five',
    '1.7kg =well-done beef-round-or-rump | @11-24T12:45',
  ],
  [
    'five rib prime rib eleven pounds medium reverse sear saturday at six',
    '4.99kg =medium beef-rib-bone-in reverse-sear | @11-28T18:00',
  ],
  [
    'chuck roast three pounds three hundred for three hours covered six thirty',
    '1.36kg [149/180+foil] beef-shoulder | @11-24T18:30',
  ],
  ['venison haunch two kilos fifty five degrees seven forty five', '2kg =55 venison-haunch | @11-24T19:45'],
  [
    'turkey crown two point two kilos and pigs in blankets, half one on christmas day',
    '2.2kg turkey-breast-bone-in | +pigs @12-25T13:30',
  ],
  ['capon three kilos boxing day two thirty for six', '3kg capon | @12-26T14:30 for6'],
  [
    "pork shoulder two and a quarter kilos low and slow overnight pulled, one o'clock tomorrow",
    '2.25kg =pulled low-and-long pork-shoulder | @11-25T13:00',
  ],
  ['rib 3kg medium rare for quarter to eight saturday', '3kg =medium-rare beef-rib-bone-in | @11-28T19:45'],
  ['rib 3kg ready for quarter past 7', '3kg beef-rib-bone-in | @11-24T19:15'],
  ['rib 3kg for ten past eight tomorrow', '3kg beef-rib-bone-in | @11-25T20:10'],
  ['rib 3kg for 10 past 8', '3kg beef-rib-bone-in | @11-24T20:10'],
  ['pork shoulder 3kg overnight 90c, lunch 12:30 tomorrow', '3kg oven90 pork-shoulder | @11-25T12:30'],
  [
    'pork belly 1.8kg overnight 90c then crisp 240, lunch 12:30 tomorrow',
    '1.8kg [*240] oven90 pork-belly | @11-25T12:30',
  ],
  [
    'leg of pork 4kg at 190 for 3 hours, start at 240 for 30 min, 6pm',
    '4kg [190/180] [240/30] fresh-ham | ?cut @11-24T18:00',
  ],
  [
    'fresh ham whole 4kg, 3 hours at 190 but first 30 min at 240, 6pm',
    '4kg [190/180] [240/30] fresh-ham | @11-24T18:00',
  ],
  ['turkey 6kg 275F pull the breast at 160, 4pm', '6kg oven135 pull71 turkey | @11-24T16:00'],
  ['brisket 6kg 110, slice at 1pm sunday', '6kg beef-brisket oven110 | @11-29T13:00'],
  ['rib 3kg slicing at 7', '3kg beef-rib-bone-in | @11-24T19:00'],
  ['pork 2 kg 160 grad 18 uhr schweinebraten', '2kg oven160 pork-shoulder | @11-24T18:00'],
  ['chicken 1.6kg with bacon 7pm', '1.6kg chicken note | @11-24T19:00'],
  ['pheasant 0.9kg streaky bacon over the breast 7pm', '0.9kg note pheasant | @11-24T19:00'],
  ['goose 5kg pour off the fat every half hour, 180, 2pm', '5kg goose look/30 note oven180 | @11-24T14:00'],
  ['goose 5kg prick and drain fat every 30 min, 2pm', '5kg goose look/30 note | @11-24T14:00'],
  ['rib 4kg 120 then 260 for the crust, 7pm', '4kg [120] [260] beef-rib-bone-in note | @11-24T19:00'],
  ['pork belly 2kg 90c overnight, 240 to crisp, 1pm', '2kg [*240] oven90 pork-belly | @11-25T13:00'],
  ['rib 3kg 110 to 50, 250 to brown, 7pm', '3kg [*250] [110>50] beef-rib-bone-in | @11-24T19:00'],
  ['chicken 1.6kg 230 to crisp the skin, 7pm', '1.6kg chicken oven230 | @11-24T19:00'],
  ['8 lb pork shoulder put it in at 8 this morning at 275', '3.63kg oven135 pork-shoulder | since@11-24T08:00'],
  ['goose and ham, goose 5kg, ham 4kg cooked, 3pm', '5kg goose | 4kg cooked-ham | @11-24T15:00'],
  ['turkey and beef at 2pm, turkey 6kg, beef rib 3kg', '6kg turkey | 3kg beef-rib-bone-in | @11-24T14:00'],
  ['chickens 2 at 1.8 each 190 6:15pm', '1.8kg chicken oven190 x2 | @11-24T18:15'],
  [
    'ham 4kg glazed with honey, 140 to 60 then glaze 20 min at 200, noon',
    '4kg [140>60] [200/20] glaze smoked-ham | ?cut @11-24T12:00',
  ],
  ['lamb for eight or nine people at 7', '?kg lamb-leg-bone-in | ?cut @11-24T19:00 for9'],
]
