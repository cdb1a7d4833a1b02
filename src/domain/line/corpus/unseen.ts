/**
 * Lines that were written after the readers were and read once, unmended: what the corpus cannot say, for it was
 * mended until it was understood. The share understood is printed; the first reading is in docs/decisions/0010.
 */
export const UNSEEN: readonly (readonly [line: string, means: string])[] = [
  [
    'Need a rib roast, about 3.2 kilos, carved at 8 on Saturday night, rare please',
    'beef-rib-bone-in 3.2kg =rare | @11-28T20:00',
  ],
  ['xmas turkey 7kg, table at 3pm, there are 14 of us', 'turkey 7kg | for14 @12-25T15:00'],
  [
    'porchetta style pork loin 2.4 kg rolled, gas 6 for half an hour then gas 4',
    'pork-loin 2.4kg rolled [200/30] [180] | ?porchetta\u00a0style',
  ],
  [
    'lamb shoulder, 1.8kg, 160 covered for 4 hours then 200 for 20 min',
    'lamb-shoulder 1.8kg [160/240+foil] [200/20] |',
  ],
  ['two chickens (1.5kg each), 180 fan, 7.30pm', 'chicken x2 1.5kg fan oven180 | @11-24T19:30'],
  ['5lb bone in prime rib, 500F for 25 min, turn the oven off 2 hours', 'beef-rib-bone-in 2.27kg [260/25] [off/120] |'],
  [
    'sirloin joint 1.8kg medium-rare with yorkshires, sunday 1pm',
    'beef-strip-loin 1.8kg =medium-rare | +puddings @11-29T13:00',
  ],
  ['Boneless turkey breast 1.5kg 74C', 'turkey-breast-bone-in 1.5kg =74 |'],
  ['tenderloin of pork 600g, brown first, then 180 to 62', 'pork-tenderloin 0.6kg pan-first [180>62] |'],
  ['beef wellington', '?meat ?wellington'],
  ['goose for christmas, 5 kilos', 'goose 5kg | @12-25T19:00'],
  ['venison haunch 2.8 kg pink, juniper and rosemary, friday 20:00', 'venison-haunch 2.8kg =pink note | @11-27T20:00'],
  ['rib-eye roast 2.2kg, sous-vide at 54 then sear', 'beef-rib-boneless 2.2kg water-bath oven54 |'],
  ['leg o lamb 2.3 kg', 'lamb-leg-bone-in 2.3kg | ?o'],
  ['pork belly 1.5kg crackling', 'pork-loin 1.5kg note | ?belly ?cut'],
  ['spatchcock chicken 1.4kg on the bbq', 'chicken 1.4kg legs-flat two-zone-fire |'],
  ['half shoulder of lamb 1.1kg slow cooked', 'lamb-shoulder 1.1kg low-and-long |'],
  ['small capon 2 kg 200 c for 20 min then 170 c basted every 20 minutes', 'capon 2kg [200/20] [170] baste/20 |'],
  ['duck 2.4kg pricked, 150 for 2 hours, 220 for 15 minutes', 'duck 2.4kg [150/120] [220/15] | ?pricked'],
  ['topside 1.2kg, 20 mins per 500g plus 20', 'beef-round-or-rump 1.2kg | ?per'],
  ['rack of pork 3kg, skin scored, 240 for 30min, 160 to 63', 'pork-rib-rack 3kg note [240/30] [160>63] |'],
  ['standing rib 5 kg for 12 at 7.30 in the evening', 'beef-rib-bone-in 5kg | for12 @11-24T19:30'],
  ['quick: chicken 1.3kg, hot oven 220, tonight', 'chicken 1.3kg oven220 | ?quick @11-24T19:00'],
  ['Tri-tip, 2 lbs 8 oz, over coals, 130F inside', 'beef-tri-tip 1.13kg two-zone-fire =54 |'],
  ['fillet of beef for 6 at 54 degrees, no salt', 'beef-tenderloin ?kg =54 unsalted | for6'],
  ['stuffed guinea fowl 1.4 kg', 'guinea-fowl 1.4kg stuffed |'],
  ['roast lamb leg 2.4kg well-done for grandma', 'lamb-leg-bone-in 2.4kg =well-done | care'],
  [
    'beef rib 3.3kg pulled at 48 then rest an hour, finish at 260 for 10 min',
    'beef-rib-bone-in 3.3kg pull48 rest60 [*260/10] |',
  ],
  ['turkey 8kg, foil off for the last hour', 'turkey 8kg |'],
  ['6 kg fresh ham scored honey glaze', 'fresh-ham 6kg note glaze |'],
  ['a joint of beef weighing 1.4kg medium', 'beef-rib-bone-in 1.4kg =medium | ?cut'],
  [
    'lunch tomorrow for four: chicken 1.7kg, roast potatoes, carrots',
    'chicken 1.7kg | for4 +potatoes +carrots @11-25T13:00',
  ],
  ['eye of the round 3lb 225F to 125F', 'beef-eye-of-round 1.36kg [107>52] |'],
  ['pork shoulder 4kg overnight at 110, pulled', 'pork-shoulder 4kg oven110 =pulled | ?overnight'],
  ['cote de boeuf 1.2 kg 5cm thick', 'beef-rib-bone-in 1.2kg 50mm |'],
  ['Lammkeule 2 kg', '?meat ?lammkeule'],
  ['chicken 1.6 kg in a bag', 'chicken 1.6kg |'],
  ['poussin x 6 400g at 200', 'cornish-hen x6 0.4kg oven200 |'],
  ['3 kg rib, six hours at 65, then 15 min at 250', 'beef-rib-bone-in 3kg [65/360] [250/15] |'],
  ['beef rib 2.8 kg, serve six medium rare and two well done', 'beef-rib-bone-in 2.8kg | medium-rare:6 well-done:2'],
]

/**
 * Forty more, written before the third mending and read once when it was done (decision 10 has the first reading).
 */
export const UNSEEN_AGAIN: readonly (readonly [line: string, means: string])[] = [
  ['5.5 lb prime rib friday 6:45pm, medium, oven at 250', 'beef-rib-bone-in 2.49kg =medium oven121 | @11-27T18:45'],
  ['guests are coming at seven, leg of lamb 2.4kg pink', 'lamb-leg-bone-in 2.4kg =pink | @11-24T19:00'],
  ['chicken 1.7kg in at half four, 200C', 'chicken 1.7kg oven200 | in@11-24T16:30'],
  [
    'rib roast 3kg rested for half an hour then 8 min at 270, cooked to 50 at 110',
    'beef-rib-bone-in 3kg rest30 [*270/8] [110>50] |',
  ],
  ['turkey 5kg sunday week at two', 'turkey 5kg | @12-06T14:00'],
  ['goose 4kg the day after tomorrow, noon', 'goose 4kg | @11-26T12:00'],
  ['pork loin 2kg six thirty', 'pork-loin 2kg | @11-24T18:30'],
  ['pork loin 2kg, dinner 6 30', 'pork-loin 2kg | @11-24T18:30'],
  ['beef fillet 1.4kg 8 o clock sharp', 'beef-tenderloin 1.4kg | @11-24T20:00'],
  ['3.4kg rib @ 8pm @ 120C', 'beef-rib-bone-in 3.4kg oven120 | @11-24T20:00'],
  ['lamb leg 2kg 8p', 'lamb-leg-bone-in 2kg | @11-24T20:00'],
  ['two rib roasts, 2.8 kg each, rare', 'beef-rib-bone-in x2 2.8kg =rare |'],
  ['turkey 6kg under a loose foil tent, 165', 'turkey 6kg tent oven165 |'],
  ['prime rib 7lb 120F pull 225 oven', 'beef-rib-bone-in 3.18kg pull49 oven107 |'],
  ['rib 3kg, meat starts at 8C, oven 130', 'beef-rib-bone-in 3kg start8 oven130 |'],
  ['rib 3kg at 12C now, oven 130, 7pm', 'beef-rib-bone-in 3kg start12 oven130 | @11-24T19:00'],
  ['chicken 1.6kg, cold oven, set to 200', 'chicken 1.6kg [cold200] |'],
  ['pork shoulder 3kg, 110C, overnight, lunch tomorrow', 'pork-shoulder 3kg oven110 | @11-25T13:00'],
  ['turkey 6.2kg at 6000 feet, 325F, 2pm', 'turkey 6.2kg oven163 | @11-24T14:00'],
  ['rib 3kg, 140C, sear at the end 270C', 'beef-rib-bone-in 3kg oven140 [*270] |'],
  ['capon 3kg breast 72, 170C', 'capon 3kg pull72 note oven170 |'],
  ['brown in a pan then roast at 180: pork tenderloin 500g', 'pork-tenderloin 0.5kg pan-first oven180 |'],
  ['lamb rack 700g crisp at 7', 'lamb-rack 0.7kg note | @11-24T19:00'],
  ['1.5 kg topside, 6 people, half twelve, medium please', 'beef-round-or-rump 1.5kg =medium | for6 @11-24T12:30'],
  ['rib 4kg cook and hold at 58C until 9pm', 'beef-rib-bone-in 4kg cook-and-hold | @11-24T21:00'],
  ['reverse seared rib, low and slow, 3kg, 95C', 'beef-rib-bone-in 3kg reverse-sear oven95 |'],
  ['does a 2kg chicken take 2 hours at 180?', 'chicken 2kg [180/120] |'],
  ['veal loin 1.5kg at 160 until 60, eaten at 7.15', 'veal-loin 1.5kg [160>60] | @11-24T19:15'],
  ['duck 2.2kg partly frozen 180C', 'duck 2.2kg frozen oven180 |'],
  ['4 lb pork loin roast 350 degrees 145 internal 5:30 dinner', 'pork-loin 1.81kg oven177 =63 | @11-24T17:30'],
  ['tenderloin whole 4.5 lbs 8 ppl 7:45 pm 425', 'beef-tenderloin 2.04kg oven218 | for8 @11-24T19:45'],
  ['lamb shoulder in three days, 7pm, 2kg', 'lamb-shoulder 2kg | @11-27T19:00'],
  ['our oven is 10 degrees too hot, chicken 1.5kg at 190', 'chicken 1.5kg oven190 hot10 |'],
  ['fresh ham 6 kg christmas eve 18h, crackling', 'fresh-ham 6kg note | @12-24T18:00'],
  ['4kg rib, some rare some medium, 7pm', 'beef-rib-bone-in 4kg | @11-24T19:00 ?some'],
  ['turkey (5.8kg) goes on the table at 3 sharp', 'turkey 5.8kg | @11-24T15:00'],
  ['500F oven 5 min per lb then off, 6 lb rib roast', 'beef-rib-bone-in 2.72kg [260/30] [off] |'],
  ['leg of lamb for Sunday lunch, 2.6kg, garlic and rosemary', 'lamb-leg-bone-in 2.6kg note | @11-29T13:00'],
  ['pulled pork for 12, 4kg shoulder, ready 6', 'pork-shoulder 4kg =pulled | for12 @11-24T18:00'],
  ['want to eat a 3 kilo goose at quarter past one tomorrow', 'goose 3kg | @11-25T13:15'],
]

/** Thirty more, written when the third mending was done, and read once. */
export const UNSEEN_LAST: readonly (readonly [line: string, means: string])[] = [
  [
    'Prime rib 8.2 lb bone-in, 250°F until 118°F, then rest and 500°F 8 minutes, 6:30 p.m.',
    'beef-rib-bone-in 3.72kg [121>48] [*260/8] | @11-24T18:30',
  ],
  ['our guests come at 7:30, so lamb leg (2.6 kg) pink', 'lamb-leg-bone-in 2.6kg =pink | @11-24T19:30'],
  [
    'Turkey crown, 2.8kg, 170 fan, foil for the first hour, lunch on Sunday',
    'turkey-breast-bone-in 2.8kg fan oven170 uncover@+60 | @11-29T13:00',
  ],
  [
    "pork loin w/ crackling 2.2 kilos, 30 min at 240 then 170 till 62, two o'clock tomorrow",
    'pork-loin 2.2kg note [240/30] [170>62] | @11-25T14:00 ?w',
  ],
  [
    '3kg sirloin, hot oven for 20 min then 160, medium-rare, 1pm Saturday',
    'beef-strip-loin 3kg =medium-rare [hot/20] [160] | @11-28T13:00',
  ],
  ['whole chicken 4.5 pounds 425F 1 hour 6:15 pm', 'chicken 2.04kg [218/60] | @11-24T18:15'],
  ['goose, 5.2 kg, Christmas Day, two thirty', 'goose 5.2kg | @12-25T14:30'],
  ['two ducks, 2.4kg each, 8pm Friday', 'duck x2 2.4kg | @11-27T20:00'],
  [
    'boned leg of lamb 1.9 kg, stuffed, 180, 6 for lunch',
    'lamb-leg-boneless-rolled 1.9kg stuffed oven180 | @11-24T13:00 for6',
  ],
  [
    'my oven runs about 15 degrees cool; rib 2.8kg at 140; 19:15',
    'beef-rib-bone-in 2.8kg oven140 | cold15 @11-24T19:15',
  ],
  [
    'silverside 1.8kg covered 150 for 3 hours then uncovered at 200 for 20',
    'beef-round-or-rump 1.8kg [150/180+foil] [200/20+bare] |',
  ],
  [
    'tenderloin 1.2kg, seared, then oven 120 until 52, 7.45pm',
    'beef-tenderloin 1.2kg pan-first [120>52] | @11-24T19:45',
  ],
  ['rack of pork for 8, 180, core 62, sunday 12:30', 'pork-rib-rack ?kg oven180 =62 | @11-29T12:30 for8'],
  ['chuck 2kg braised 4 hours at 140 until fork tender', 'beef-shoulder 2kg foil [140/240] until-falls_apart |'],
  ['venison haunch 2.2kg wrapped in bacon pink at eight', 'venison-haunch 2.2kg note =pink | @11-24T20:00'],
  ['capon 3.1kg 1500m up, 180C, 3pm Xmas', 'capon 3.1kg oven180 | 1500m @12-25T15:00'],
  [
    'turkey 13 lb, brined overnight, 325F, breast 160F, 4 pm Thursday',
    'turkey 5.9kg brine note oven163 pull71 note | @11-26T16:00',
  ],
  [
    'rib roast 4 lb 6oz 200f to 120f rest 45min 525f 6min 7p',
    'beef-rib-bone-in 1.98kg [93>49] rest45 [*274/6] | @11-24T19:00',
  ],
  ['lamb shoulder 2.2kg 150 for 5 hours from a cold oven', 'lamb-shoulder 2.2kg [cold150/300] |'],
  [
    'rib 6kg for 24 covers, 110C, hold at 57, service 19:00',
    'beef-rib-bone-in 6kg oven110 hold57 | @11-24T19:00 for24',
  ],
  ['poussin x 4 450g each 200C seven thirty', 'cornish-hen x4 0.45kg oven200 | @11-24T19:30'],
  ['pork shoulder 3kg at 120C overnight for lunch', 'pork-shoulder 3kg oven120 | @11-25T13:00'],
  [
    'eye of round 1.2kg from the fridge at 3C, 110C, 52 core, 6:30',
    'beef-eye-of-round 1.2kg start3 oven110 =52 | @11-24T18:30',
  ],
  ['roast beef for 6 the day after tomorrow at half six', 'beef-rib-bone-in ?kg | ?cut for6 @11-26T18:30'],
  ['topside 1.5kg medium, guests from 7', 'beef-round-or-rump 1.5kg =medium | @11-24T19:00'],
  ['4 lb tri tip over charcoal 130F 6pm', 'beef-tri-tip 1.81kg two-zone-fire =54 | @11-24T18:00'],
  ['beef fillet 1.5 kg thickness 7cm at 200C fan', 'beef-tenderloin 1.5kg 70mm fan oven200 |'],
  ['ham 5kg 160C glaze twice in the last half hour 5pm', 'fresh-ham 5kg oven160 glazex2@-30 | ?cut @11-24T17:00'],
  [
    'stuffed turkey 6 kg 165 breast down for the first 90 minutes, 3pm boxing day',
    'turkey 6kg stuffed oven165 bird-turned | @12-26T15:00',
  ],
  [
    'lamb rack 900g, 220 for 15, rest 8, 52 in the middle, at 20:15',
    'lamb-rack 0.9kg [220/15] rest8 =52 | @11-24T20:15',
  ],
]
