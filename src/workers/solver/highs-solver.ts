import type { Highs } from 'highs'
import type { MipModel } from '@/core/schedule/meal/model'
import type { MipSolver } from '@/core/schedule/meal/solve'

/** HiGHS (mixed-integer programming, University of Edinburgh, as WebAssembly) behind the core's door. */
export function highsSolver(highs: Highs): MipSolver {
  return {
    solve(model, { limit_s, start, improved }) {
      const instance = highs.createModel()
      try {
        instance.options.set('output_flag', false)
        instance.options.set('time_limit', limit_s)
        instance.options.set('mip_rel_gap', 1e-6)
        instance.passModel(dataOf(model, highs))
        if (start.length > 0) instance.setSolution({ indices: [...start], values: start.map(() => 1) })
        let bound = Number.NEGATIVE_INFINITY
        const { callbackType, modelStatus } = highs.constants
        const run = instance.run({
          [callbackType.mipImprovingSolution]: (event) => {
            bound = event.data.mip_dual_bound ?? bound
            if (event.data.mip_solution) improved(event.data.mip_solution, bound)
            return undefined
          },
          [callbackType.mipLogging]: (event) => {
            bound = event.data.mip_dual_bound ?? bound
            return undefined
          },
        })
        const optimal = run.modelStatus === modelStatus.optimal
        const has = optimal || Number(instance.info.get('primal_solution_status')) === 2
        const values = has ? instance.getSolution().colValue : undefined
        return {
          status: optimal ? 'optimal' : 'limit',
          values,
          bound: optimal ? instance.getObjectiveValue() : Number(instance.info.get('mip_dual_bound') ?? bound),
        }
      } finally {
        instance.dispose()
      }
    },
  }
}

const dataOf = (model: MipModel, highs: Highs) => ({
  numCols: model.columns,
  numRows: model.rows,
  colCost: model.cost,
  colLower: new Float64Array(model.columns),
  colUpper: new Float64Array(model.columns).fill(1),
  rowLower: model.rowLow.map((value) => (Number.isFinite(value) ? value : -highs.infinity)),
  rowUpper: model.rowHigh,
  matrix: {
    format: 'csc' as const,
    numRows: model.rows,
    numCols: model.columns,
    starts: model.starts,
    indices: model.indices,
    values: model.values,
  },
  integrality: model.whole,
})
