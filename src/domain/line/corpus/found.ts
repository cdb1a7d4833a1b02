/**
 * Lines that were misread when they were tried, and are mended: each with what it means in the signs of gist.ts,
 * at the same minute as the others.
 */
export const FOUND: readonly (readonly [line: string, means: string])[] = [
  // One heat and then another, said without how long
  ['rib 3kg at 260 then 160', 'beef-rib-bone-in 3kg [260] [160] |'],
  ['rib 3kg start in a 260C oven then 160', 'beef-rib-bone-in 3kg [260] [160] |'],
  ['prime rib 10 lb at 500F then turn down to 325F', 'beef-rib-bone-in 4.54kg [260] [163] |'],
  ['rib 3kg at 120C then 250 for 10 minutes', 'beef-rib-bone-in 3kg [120] [250/10] |'],
  ['rib 3kg 230 turned down to 160 after 20 min', 'beef-rib-bone-in 3kg [230/20] [160] |'],
  ['rib 3kg oven 200, after 30 minutes down to 160', 'beef-rib-bone-in 3kg [200/30] [160] |'],
  ['turkey 6kg 180C, last 30 mins at 220', 'turkey 6kg oven180 [*220/30] |'],
  ['rib 3kg start at 60F, 160C', 'beef-rib-bone-in 3kg start15.6 oven160 |'],
  // Bones, and how many roasts
  ['3-rib prime rib 7pm', 'beef-rib-bone-in ?kg | @11-24T19:00'],
  ['a 3 rib standing rib roast and a chicken', 'beef-rib-bone-in ?kg | chicken ?kg |'],
  ['two prime ribs 3kg each', 'beef-rib-bone-in x2 3kg |'],
  ['rack of lamb, 8 ribs', 'lamb-rack ?kg |'],
  ['12 noon capon 3kg', 'capon 3kg | @11-24T12:00'],
  ['lunch at 12:30 noon turkey 5kg', 'turkey 5kg | @11-24T12:30'],
  ['lamb shoulder 2kg falls off the bone', 'lamb-shoulder 2kg =pull-apart |'],
  ['pork shoulder 3kg fork tender', 'pork-shoulder 3kg =pull-apart |'],
  ['rolled turkey breast 1.5kg bacon wrapped 1pm', 'turkey-breast-bone-in 1.5kg rolled note | @11-24T13:00'],
  ['pork tenderloin 600g wrapped in prosciutto', 'pork-tenderloin 0.6kg note |'],
  ['turkey 5kg covered with streaky bacon, oven 170', 'turkey 5kg oven170 note |'],
  ['500g x3 pork tenderloin 7pm', 'pork-tenderloin 0.5kg x3 | @11-24T19:00'],
  // The same meat said twice over
  ['rump cap picanha 1.5kg medium rare', 'beef-round-or-rump 1.5kg =medium-rare |'],
  ['picanha (rump cap) 1.2kg', 'beef-round-or-rump 1.2kg |'],
  ['lamb leg 2.2kg at 200 and after half an hour at 160', 'lamb-leg-bone-in 2.2kg [200/30] [160] |'],
  // A feast and a bare hour: nobody eats at two in the night
  ['goose 4.5kg on christmas day at 2', 'goose 4.5kg | @12-25T14:00'],
  ['turkey 6kg thanksgiving at 4', 'turkey 6kg | @11-26T16:00'],
  ['turkey 6kg 25 december 2', 'turkey 6kg | @12-25T14:00'],
  ['chicken 1.6kg and 1kg of potatoes', 'chicken 1.6kg | +potatoes'],
  ['turkey breast down first hour 6kg', 'turkey 6kg bird-turned | ?hour'],
  ['leg of lamb 2.3kg in the oven at 10, 180 fan', 'lamb-leg-bone-in 2.3kg fan oven180 | in@11-24T10:00'],
  ['lamb leg 2.3kg in the oven at 180 eat at 7', 'lamb-leg-bone-in 2.3kg oven180 | @11-24T19:00'],
  ['pork loin 2kg 730pm', 'pork-loin 2kg | @11-24T19:30'],
  ['pork loin 2kg ten to 8', 'pork-loin 2kg | @11-24T19:50'],
  ['pork loin 2kg at twenty past seven', 'pork-loin 2kg | @11-24T19:20'],
]
