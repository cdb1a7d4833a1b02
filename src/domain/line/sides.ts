import type { MealSide } from '../meal/meal-document'

/** A side as it goes beside any roast, without its place in a meal. */
export type SideKind = Omit<MealSide, 'id' | 'serving' | 'owner' | 'pin'>
export interface KnownSide {
  readonly id: string
  /** How cooks name it, as a pattern. */
  readonly words: string
  readonly side: SideKind
}

/** What a small dish of it takes of a shelf, where no more than ten eat. */
const HALF = 0.5

const tray = (
  id: string,
  title: string,
  words: string,
  set_c: number,
  minutes: number,
  more: Partial<SideKind> = {},
): KnownSide => ({
  id,
  words,
  side: {
    title,
    set_c,
    low_c: set_c - 25,
    high_c: set_c + 25,
    minutes,
    places: 1,
    hold_min: 15,
    hob_min: 0,
    quantity: '',
    ...more,
  },
})

/** Sides that go beside a roast: what they like and bear (common practice). */
export const SIDES: readonly KnownSide[] = [
  tray(
    'potatoes',
    'Roast potatoes',
    '(?:roast(?:ed)? |roastie )?(?:potatoes|potato|spuds|tatties|pots)|roasties',
    200,
    50,
    {
      low_c: 180,
      high_c: 220,
      hob_min: 10,
      quantity: '250 g a head',
    },
  ),
  tray(
    'roots',
    'Roast roots',
    '(?:roast(?:ed)? )?(?:root vegetables|root veg|roots|roast vegetables|roast veg)',
    190,
    40,
    {
      low_c: 160,
      high_c: 220,
      hold_min: 20,
      places: HALF,
      quantity: '150 g a head',
    },
  ),
  tray(
    'stuffing',
    'Stuffing in a dish',
    '(?:stuffing|dressing)(?: in (?:an? |the )?(?:roasting )?(?:dish|tray|tin|muffin tin|loaf tin)| on the side| beside| balls)',
    180,
    35,
    {
      low_c: 160,
      high_c: 200,
      hold_min: 20,
      places: HALF,
      quantity: '90 g a head',
    },
  ),
  tray(
    'puddings',
    'Batter puddings',
    '(?:yorkshire |batter |yorkie )?(?:puddings?|puds)|yorkshires?|yorkies|popovers',
    220,
    20,
    {
      low_c: 210,
      high_c: 230,
      hold_min: 5,
      places: HALF,
      quantity: 'one a head',
    },
  ),
  tray(
    'gratin',
    'Potato gratin',
    '(?:potato(?:es)? )?(?:gratin|dauphinoise)(?: potatoes)?|scalloped potatoes',
    170,
    70,
    {
      low_c: 150,
      high_c: 190,
      hold_min: 30,
      quantity: '200 g a head',
    },
  ),
  tray('jackets', 'Baked potatoes', '(?:jacket|baked) (?:potatoes|potato|spuds)|jackets', 200, 75, {
    low_c: 170,
    high_c: 220,
    hold_min: 30,
    quantity: 'one a head',
  }),
  tray('macaroni', 'Macaroni cheese', 'mac(?:aroni)?(?: and| &)? cheese', 190, 30, {
    places: HALF,
    quantity: '200 g a head',
  }),
  tray('cabbage', 'Braised cabbage', '(?:braised |red )*cabbage', 150, 90, {
    low_c: 110,
    high_c: 170,
    hold_min: 60,
    places: HALF,
    quantity: '150 g a head',
  }),
  tray(
    'sweet-potatoes',
    'Sweet potatoes',
    '(?:(?:candied|roast(?:ed)?) )?(?:sweet potato(?:es)?|yams)(?: casserole| bake)?',
    190,
    40,
    {
      places: HALF,
      quantity: '200 g a head',
    },
  ),
  tray('parsnips', 'Roast parsnips', '(?:honey )?(?:roast(?:ed)? )?parsnips', 190, 40, {
    high_c: 220,
    places: HALF,
    quantity: '120 g a head',
  }),
  tray('carrots', 'Roast carrots', '(?:glazed |honey )?(?:roast(?:ed)? )?carrots', 190, 40, {
    high_c: 220,
    places: HALF,
    quantity: '120 g a head',
  }),
  tray('sprouts', 'Roast sprouts', '(?:brussels? )?(?:roast(?:ed)? )?(?:brussels? )?sprouts', 200, 25, {
    hold_min: 10,
    places: HALF,
    quantity: '120 g a head',
  }),
  tray('squash', 'Roast squash', '(?:roast(?:ed)? )?(?:butternut )?(?:squash|pumpkin)', 190, 40, {
    high_c: 220,
    places: HALF,
    quantity: '150 g a head',
  }),
  tray('cauliflower', 'Cauliflower cheese', 'cauli(?:flower)?(?: cheese)?', 190, 30, {
    places: HALF,
    quantity: '150 g a head',
  }),
  tray('bean-casserole', 'Green bean casserole', '(?:green )?beans? casserole', 175, 30, {
    places: HALF,
    quantity: '150 g a head',
  }),
  tray('pigs', 'Bacon-wrapped sausages', 'pigs in blankets?|chipolatas', 190, 30, {
    high_c: 220,
    places: HALF,
    quantity: 'two a head',
  }),
]

/** What goes beside a roast and wants no oven: remembered, for nothing is computed of it. */
export const COLD_OR_HOB =
  '(?:(?:mashed|boiled|new|steamed|creamed|buttered) (?:new )?(?:potatoes|spuds|spinach|corn|leeks|greens|carrots|swede)|(?:sweet potato )?mash|potato salad|(?:green|french|runner|broad|baked|fine) beans|(?:garden |mushy )?peas|greens|(?:spring|winter|collard) greens|spinach|kale|chard|broccoli|asparagus|ratatouille|(?:green |mixed |side )?salad|(?:cole ?)?slaw|(?:bread |dinner |brioche |soft )?(?:rolls|buns)|cornbread|rice(?: pilaf)?|polenta|couscous|lentils|(?:cranberry|bread|apple|mint|horseradish|hollandaise|bearnaise|peppercorn|red wine|mushroom|tomato) sauce|chimichurri|salsa verde|tartare|chutney|pickles|(?:all )?(?:the )?trimmings|all the (?:sides|extras))'

/** A side by its id. */
export const findSide = (id: string): SideKind | undefined => SIDES.find((known) => known.id === id)?.side
