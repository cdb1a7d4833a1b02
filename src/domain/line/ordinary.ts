/**
 * Words of everyday English, names of people among them, that stand as near to one of ours as a slip of the finger:
 * "toast" is no roast, "for Grace" no brace of birds, "staff" no stuffing. They are never taken for a misspelt one.
 * Left out are those that a cook more likely meant as ours: "meet" and "rate".
 */
export const ORDINARY: ReadonlySet<string> = new Set(
  `
  able along apply baker ball bank barry base beat bend berkshire blood board boat booked born brain break bream bride
  bruce building butler call card care carl carver case cell cellar cheek chops chunk class clear close closes
  collection cooling cost crime curry deal deck dixon east election enter even ever fail farm feeling find
  finger firm flour food force frank fred gents goal grace grant greg groom guess hair harry heart help here
  hill hugh hunt jane joan john kate keep kelly kent kill kind knight lads lane lard larry liver luke lynch mackerel
  main mains manage manager many marsh mass marshall match mates matter mayo mean mike moist money mouth move
  must name nearly needed niece none note oliver onto packed packet page pain place parker pass patrick paul
  pearson personal peter pick pierce pinch plated position potter power price prove races raise rather reach
  real rear reared remember rich rinse risk rock role ross safe save seal sean seek seem sell series servers
  shake shaw shed shelf shoot shot show size skill slightly slit slits snow song sort soup sour speak spicy
  spoon sport spot staff star starter state steamer stephen stop store stuart stuck summer tail talk tallow
  tanned tasting team tend their though thus timer toast toasts together tough toward town training tree turner vote
  waiter wake wales walter ward warmer wash washed west whatever whopping whose wish word world wright write
  yard yeah
`
    .trim()
    .split(/\s+/),
)
