import { describe, expect, it } from 'vitest'
import { addressOf, DOOR, DOOR_HEADER, doorOf, FROM_HEADER, isSecure } from './door'

const given = (more: Record<string, string>) => new Headers(more)

describe('the door a request came by', () => {
  it('is what the server that listens wrote; without one only the machine is listened to', () => {
    expect(doorOf(given({}))).toBe(DOOR.machine)
    expect(doorOf(given({ [DOOR_HEADER]: DOOR.network }))).toBe(DOOR.network)
    expect(isSecure(given({ [DOOR_HEADER]: DOOR.network }), false)).toBe(true)
    expect(isSecure(given({}), false)).toBe(false)
  })

  it('believes what a proxy adds only where one was said to be there', () => {
    const forwarded = given({
      [FROM_HEADER]: '192.0.2.9',
      'x-forwarded-proto': 'https',
      'x-forwarded-for': '203.0.113.5, 198.51.100.7',
    })
    expect(isSecure(forwarded, false)).toBe(false)
    expect(addressOf(forwarded, false)).toBe('192.0.2.9')
    expect(isSecure(forwarded, true)).toBe(true)
    // The last is the one the proxy itself saw: what stands before it anybody may have written.
    expect(addressOf(forwarded, true)).toBe('198.51.100.7')
    expect(addressOf(given({}), true)).toBe('here')
  })
})
