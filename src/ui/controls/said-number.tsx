'use client'
import { useState } from 'react'
import {
  celsiusToFahrenheit,
  fahrenheitRiseToKelvins,
  fahrenheitToCelsius,
  INCH_M,
  kelvinsToFahrenheitRise,
  POUND_KG,
} from '@/core/units'
import type { Units } from '@/words/units'

interface NumberProps {
  readonly label: string
  readonly value: number
  readonly step?: number
  readonly digits?: number
  readonly suffix?: string
  readonly least?: number
  readonly most?: number
  readonly problem?: string | undefined
  readonly problemId?: string
  readonly onChange: (value: number) => void
}

/** A number inside a sentence. What is being typed stays as typed; a full number within its range is passed on at once. */
export function SaidNumber({
  label,
  value,
  step = 1,
  digits = 0,
  suffix = '',
  least = Number.NEGATIVE_INFINITY,
  most = Number.POSITIVE_INFINITY,
  problem,
  problemId,
  onChange,
}: NumberProps) {
  const shown = Number(value.toFixed(digits)).toString()
  const [typed, setTyped] = useState<string | undefined>()
  const text = typed ?? shown
  return (
    <span className="whitespace-nowrap">
      <input
        type="number"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? problemId : undefined}
        className="said"
        style={{ width: `${Math.max(3, text.length + 2.2)}ch` }}
        step={step}
        value={text}
        onChange={(event) => {
          setTyped(event.target.value)
          const number = Number(event.target.value)
          if (event.target.value !== '' && Number.isFinite(number) && number >= least && number <= most)
            onChange(number)
        }}
        onBlur={() => setTyped(undefined)}
      />
      {suffix && ` ${suffix}`}
    </span>
  )
}

type InUnits = Omit<NumberProps, 'value' | 'step' | 'digits' | 'suffix'> & { readonly units: Units }

/** A temperature, °C within and in the reader's degrees without. */
export function SaidHeat({ value_c, units, onChange, ...rest }: InUnits & { readonly value_c: number }) {
  const fahrenheit = units.temperature === 'f'
  return (
    <SaidNumber
      {...rest}
      value={fahrenheit ? celsiusToFahrenheit(value_c) : value_c}
      step={5}
      suffix={fahrenheit ? '°F' : '°C'}
      onChange={(value) => onChange(fahrenheit ? fahrenheitToCelsius(value) : value)}
    />
  )
}

/** A difference of temperatures, K within. */
export function SaidRise({ value_k, units, onChange, ...rest }: InUnits & { readonly value_k: number }) {
  const fahrenheit = units.temperature === 'f'
  return (
    <SaidNumber
      {...rest}
      value={fahrenheit ? kelvinsToFahrenheitRise(value_k) : value_k}
      suffix={fahrenheit ? '°F' : '°C'}
      onChange={(value) => onChange(fahrenheit ? fahrenheitRiseToKelvins(value) : value)}
    />
  )
}

/** A weight, kg within. */
export function SaidMass({ value_kg, units, onChange, ...rest }: InUnits & { readonly value_kg: number }) {
  const pounds = units.mass === 'lb'
  return (
    <SaidNumber
      {...rest}
      value={pounds ? value_kg / POUND_KG : value_kg}
      step={pounds ? 0.25 : 0.1}
      digits={2}
      suffix={pounds ? 'lb' : 'kg'}
      onChange={(value) => onChange(pounds ? value * POUND_KG : value)}
    />
  )
}

/** A thickness, mm within. */
export function SaidThickness({ value_mm, units, onChange, ...rest }: InUnits & { readonly value_mm: number }) {
  const inches = units.mass === 'lb'
  return (
    <SaidNumber
      {...rest}
      value={inches ? value_mm / (INCH_M * 1000) : value_mm}
      step={inches ? 0.1 : 2}
      digits={inches ? 1 : 0}
      suffix={inches ? 'in' : 'mm'}
      onChange={(value) => onChange(Math.round(value * (inches ? INCH_M * 1000 : 1)))}
    />
  )
}
