'use client'
import { Moon, Sun } from 'lucide-react'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { DropdownMenu } from 'radix-ui'
import type { Units } from '@/words/units'
import { WhoMenu } from '../people/who-menu'

interface HeaderProps {
  readonly kitchen: { readonly slug: string; readonly name: string }
  readonly kitchens: readonly { readonly slug: string; readonly name: string }[]
  readonly units: Units
}

const remember = (name: string, value: string) => {
  // biome-ignore lint/suspicious/noDocumentCookie: the cookie store API is not in every browser yet
  document.cookie = `${name}=${value}; path=/; max-age=31536000; samesite=lax`
}

/** The bottle-green head of every page, closed by the white ring. */
export function Header({ kitchen, kitchens, units }: HeaderProps) {
  const router = useRouter()
  const toggleTheme = () => {
    const next = document.documentElement.dataset.theme === 'night' ? 'day' : 'night'
    document.documentElement.dataset.theme = next
    remember('pheasant-theme', next)
  }
  const toggleUnits = () => {
    remember('pheasant-units', units.temperature === 'f' ? 'c-kg' : 'f-lb')
    router.refresh()
  }
  const item = 'block cursor-pointer rounded-md px-4 py-2.5 outline-none data-[highlighted]:bg-moss-ground'
  return (
    <header className="neck no-print text-white">
      <div className="mx-auto flex max-w-[84rem] items-center gap-1.5 px-4 sm:gap-4 pb-4 pt-3 sm:px-6">
        <Link href={`/k/${kitchen.slug}`} className="font-display text-2xl font-bold tracking-tight">
          Pheasant
        </Link>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger className="min-h-11 min-w-0 truncate rounded-full border border-white/30 px-3 text-base hover:bg-white/10 sm:px-4">
            {kitchen.name} ▾
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="start"
              sideOffset={8}
              className="z-50 min-w-56 rounded-xl border border-line bg-sheet p-1.5 text-ink shadow-xl"
            >
              {kitchens.map((each) => (
                <DropdownMenu.Item key={each.slug} asChild>
                  <Link className={item} href={`/k/${each.slug}`}>
                    {each.name}
                  </Link>
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
        <div className="ml-auto flex shrink-0 items-center gap-1 sm:gap-2">
          <WhoMenu slug={kitchen.slug} />
          <button
            type="button"
            onClick={toggleUnits}
            className="min-h-11 whitespace-nowrap rounded-full px-1 text-base hover:bg-white/10 sm:px-3"
            aria-label={`Units: now ${units.temperature === 'f' ? 'Fahrenheit and pounds' : 'Celsius and kilograms'}. Change.`}
          >
            {units.temperature === 'f' ? '°F · lb' : '°C · kg'}
          </button>
          <button
            type="button"
            onClick={toggleTheme}
            className="grid size-11 place-items-center rounded-full hover:bg-white/10"
            aria-label="Day or night theme"
          >
            <Sun className="hidden size-5 [[data-theme=night]_&]:block" aria-hidden />
            <Moon className="size-5 [[data-theme=night]_&]:hidden" aria-hidden />
          </button>
        </div>
      </div>
    </header>
  )
}
