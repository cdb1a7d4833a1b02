import { STANDARDS, TEMPER_LIMIT_S } from '@/core/reference/standards'
import type { WayId } from '@/domain/house/ways'
import { duration, temperature, type Units } from './units'

/** What practitioners differ about, in words: what it is about, each way with its reason in a line. */
export const wayWords = (
  units: Units,
): Readonly<
  Record<
    WayId,
    {
      readonly about: string
      readonly options: Readonly<Record<string, { readonly name: string; readonly why: string }>>
    }
  >
> => ({
  temper: {
    about: 'On the bench first',
    options: {
      30: { name: 'half an hour', why: 'The surface dries and the tin is ready; the core gains little.' },
      0: { name: 'from the fridge', why: 'Coldest start: the safest, and the most even crust against the core.' },
      60: { name: 'an hour', why: 'A few minutes quicker in the oven; no more than that.' },
      120: {
        name: 'two hours',
        why: `The longest there is here: ${duration(TEMPER_LIMIT_S)} is the rule for the danger zone.`,
      },
    },
  },
  salt: {
    about: 'Salt',
    options: {
      ahead: { name: 'a day ahead', why: 'It goes in and the surface dries: it browns, and the meat holds its juice.' },
      at_once: { name: 'as it goes in', why: 'Nothing to think of the day before; salt stays on the outside.' },
    },
  },
  truss: {
    about: 'The legs',
    options: {
      tied: { name: 'tied', why: 'It keeps its shape and browns evenly; the inner thigh takes longer.' },
      open: { name: 'left open', why: 'Heat gets to the inner thigh, so it is done sooner and the breast waits less.' },
      flat: {
        name: 'pressed flat',
        why: 'Backbone out, it lies thin: done in two thirds of the time, all its skin up; no cavity to stuff.',
      },
    },
  },
  stuff: {
    about: 'Stuffing',
    options: {
      empty: { name: 'none', why: 'The cavity cooks from inside too: quicker, and nothing there to be probed.' },
      dish: { name: 'in a dish beside', why: 'Crisp on top, done when you like, and the bird is quicker for it.' },
      neck: { name: 'the neck only', why: 'Some of the flavour; the cavity stays open to the heat.' },
      cavity: {
        name: 'the cavity',
        why: `It takes the juice. The stuffing’s own centre must get to ${temperature(STANDARDS.stuffingLeast.value, units)}, and the bird waits for it.`,
      },
    },
  },
  baste: {
    about: 'Basting',
    options: {
      never: { name: 'door shut', why: 'Each opening costs minutes, and a wet skin does not crisp.' },
      often: { name: 'every 40 min', why: 'Colour and flavour on the skin, for some minutes more in the oven.' },
    },
  },
  rack: {
    about: 'In the tin',
    options: {
      rack: { name: 'on a rack', why: 'Heat from below too, and the underside stays dry.' },
      trivet: { name: 'on vegetables', why: 'They flavour the juice; the underside steams a little.' },
      bones: { name: 'on bones', why: 'The gravy’s ground; for those who have bones to hand.' },
    },
  },
  bone: {
    about: 'The bone',
    options: {
      on: { name: 'left on', why: 'It shields one side and there is something to gnaw.' },
      off: { name: 'cut off, tied back', why: 'The same roast, carved in a minute.' },
    },
  },
  pork: {
    about: 'Pork',
    options: {
      usual: { name: 'rosy', why: 'The current advice: safe with its three minutes of rest, and juicy.' },
      old: { name: 'grey all through', why: 'As it was always done; drier, with no pink for those who mind it.' },
    },
  },
  thigh: {
    about: 'The thigh',
    options: {
      usual: { name: 'as done as the breast', why: 'Safe everywhere and the breast at its best.' },
      tender: {
        name: `to ${temperature(80, units)}`,
        why: 'Dark meat lets go of the bone there; the breast pays for it.',
      },
    },
  },
})
