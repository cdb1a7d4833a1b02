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
  ['spatchcock chicken 1.4kg on the bbq', 'chicken 1.4kg note two-zone-fire |'],
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
