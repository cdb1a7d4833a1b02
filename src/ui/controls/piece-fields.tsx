'use client'
import { cutOf } from '@/domain/roast/resolve'
import { HANDLINGS, type PlanDocument } from '@/domain/roast/roast-document'
import { Choice } from './choice'

type Roast = PlanDocument['roast']

const HANDLING_NAMES: Readonly<Record<(typeof HANDLINGS)[number], string>> = {
  as_cut: 'left whole, as cut',
  rolled: 'boned or rolled',
  stuffed: 'stuffed and rolled',
  tenderised: 'blade-tenderised',
  injected: 'injected',
}
const THIN_ENDS = [
  [null, 'tied even'],
  [0.8, 'thin end ⅘ as thick'],
  [0.6, 'thin end ⅗ as thick'],
  [0.45, 'thin end under half'],
] as const

/** How a piece was prepared, whether alone or in a meal. */
export function PieceFields({ roast, put }: { readonly roast: Roast; readonly put: (part: Partial<Roast>) => void }) {
  const cut = cutOf(roast)
  if (!cut) return null
  const bird = cut.geometry.family === 'bird'
  return (
    <>
      {!bird && cut.bone !== 'bird' && (
        <Choice
          label="Handling"
          value={roast.handling}
          onChange={(value) => put({ handling: value as Roast['handling'] })}
          options={HANDLINGS.map((each) => [each, HANDLING_NAMES[each]])}
        />
      )}
      {cut.bone !== 'bird' && cut.geometry.family !== 'crown' && (
        <Choice
          label="Evenness"
          value={String(roast.thin_end)}
          onChange={(value) => put({ thin_end: value === 'null' ? null : Number(value) })}
          options={THIN_ENDS.map(([ratio, name]) => [String(ratio), name])}
        />
      )}
      {bird && (
        <>
          {(roast.legs !== 'flat' || roast.stuffed) && (
            <Choice
              label="Cavity"
              value={roast.stuffed ? 'stuffed' : 'empty'}
              onChange={(value) => put({ stuffed: value === 'stuffed' })}
              options={[
                ['empty', 'empty, stuffing baked beside'],
                ['stuffed', 'stuffed'],
              ]}
            />
          )}
          <Choice
            label="Legs"
            value={roast.legs}
            onChange={(value) => put({ legs: value as Roast['legs'], ...(value === 'flat' ? { stuffed: false } : {}) })}
            options={[
              ['tied', 'tied close'],
              ['open', 'left open: the thigh cooks sooner'],
              ['flat', 'backbone out, pressed flat: all of it cooks sooner'],
            ]}
          />
        </>
      )}
      <Choice
        label="Thawed"
        value={roast.icy_core_c === null ? 'through' : 'icy'}
        onChange={(value) => put({ icy_core_c: value === 'icy' ? -2 : null })}
        options={[
          ['through', 'all through'],
          ['icy', 'still icy in the middle'],
        ]}
      />
    </>
  )
}
