import { TENDING_ACTS, type TendingAct } from '@/core/program/stage'
import { heldNumber } from '../../schema/scalars'
import { DIGITS, type Reader, reader, TENDER_SAID, tenderOf } from './grammar'

/** Stages as a plan is read back: each in full, in words that nobody else uses. */

const PLACES: Readonly<Record<string, 'oven' | 'fire' | 'pan' | 'bath' | 'cabinet'>> = {
  oven: 'oven',
  fire: 'fire',
  pan: 'pan',
  bath: 'bath',
  cabinet: 'cabinet',
}
const ACT = `(?:${TENDING_ACTS.join('|')})`
const TENDED = `(?: ${ACT} at (?:share |end |core )?${DIGITS}(?: every ${DIGITS})?)`
const TENDED_PARTS = new RegExp(`(${ACT}) at (share |end |core )?(\\d+(?:\\.\\d+)?)(?: every (\\d+(?:\\.\\d+)?))?`, 'g')
/** How a moment that no clock says is written. */
const MOMENTS: Readonly<Record<string, 'at_share' | 'before_end_min' | 'at_core_c'>> = {
  'share ': 'at_share',
  'end ': 'before_end_min',
  'core ': 'at_core_c',
}

/** A stage in full: "stage oven 160 c foil for 20 min baste at 10 every 15". */
export function written(): Reader {
  return reader(
    `stage (?:(oven|fire|pan|bath|cabinet) (${DIGITS}) c|(oven off)|(counter|fridge))( cold)?(?: (tent|foil|bag))?(?: (breast up|breast down))?(?: foil on (breast|legs))?(?: (fat|glazed) surface)?(?: for (${DIGITS}) min|( to the pull)| to (${DIGITS}) c| to colour (${DIGITS})| at least (${DIGITS}) min| until (${TENDER_SAID}))(${TENDED}*)`,
    ([
      ,
      place,
      heat,
      off,
      still,
      cold,
      cover,
      position,
      foil,
      surface,
      minutes,
      pull,
      core,
      colour,
      least,
      tender,
      tended = '',
    ]) => ({
      kind: 'written',
      stage: {
        role: 'cook',
        environment: off
          ? { kind: 'oven', set_c: null }
          : still
            ? { kind: still as 'counter' | 'fridge' }
            : { kind: PLACES[place ?? ''] ?? 'oven', set_c: heldNumber(Number(heat)) },
        cover: (cover as 'tent' | 'foil' | 'bag' | undefined) ?? 'bare',
        preheated: cold === undefined,
        ...(position ? { position: position === 'breast up' ? 'breast_up' : 'breast_down' } : {}),
        ...(foil ? { foil: foil as 'breast' | 'legs' } : {}),
        ...(surface ? { surface: surface === 'fat' ? 'fat' : 'glaze' } : {}),
        until: minutes
          ? { kind: 'time', minutes: heldNumber(Number(minutes)) }
          : pull
            ? { kind: 'pull' }
            : core
              ? { kind: 'core', core_c: heldNumber(Number(core)) }
              : colour
                ? { kind: 'colour', browning_min: heldNumber(Number(colour)) }
                : tender
                  ? { kind: 'tender', degree: tenderOf(tender) }
                  : { kind: 'clock', least_min: heldNumber(Number(least)) },
        tending: [...tended.matchAll(TENDED_PARTS)].map(([, act, moment, at, every]) => ({
          act: act as TendingAct,
          at_min: moment ? 0 : heldNumber(Number(at)),
          ...(moment ? { [MOMENTS[moment] as string]: heldNumber(Number(at)) } : {}),
          ...(every ? { every_min: heldNumber(Number(every)) } : {}),
        })),
      },
    }),
  )
}
