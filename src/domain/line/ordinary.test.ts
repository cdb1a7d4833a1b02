import { describe, expect, it } from 'vitest'
import { spelling } from './spelling'

/** Everyday words and names, from memory: what people write about a dinner beside the roast. */
const EVERYDAY = `
  able about above absolutely accept across actually adam address admit adult advent advice affect after again
  against aged agency agent agree ahead alan aldi alice allen allow almost alone along already also although
  alto always among amount anderson angus animal anna anne anniversary another answer anyone anything apartment
  apparently appear apple apples apply area argue around arrive article artist asda assume attack attention
  auction author average avoid away awkward aylesbury baby back bacon bailey baker balcony ball bank baptism
  barbary barbecue bard barded bark barker barnes barry base basically bath beans beat beautiful because become
  bedroom beer before begin beginner behavior behind believe bend benefit bennett berkshire berlin best better
  between beyond bigger biggest bill bird black blackened blankets blast blood blue bluetooth board boat body
  bones bonfire book booked born boss boston both bottom bowls boxing boys brain brandy bread break brian bride
  bring bristol broken bronze brooks broth brother brown browned browning bruce budget build building bulb burke
  burns business busy butcher butchers butler butter buttermilk cabbage cabin call cambro camera campaign
  campbell camping canapes cancer candidate candles capital caramel caramelised carcass card care career carl
  carol carols carrot carrots carry carter carved carver carvery case cast catch cause cell cellar center
  central century certain certainly chair chalet challenge chance change chapel chapman character charge charity
  charlotte charolais charred check cheek cheers cheese chef chewy child children chiller chipolata chipolatas
  chips chloe choice choir choose chris christening chunk chunks church cider citizen city civil claim claire
  clare clark clarke class classic clear clearly close closes club coach cold cole colin collect collected
  collection college collins color combi come commis common community company compare completely computer
  concern concert condition conference consider consumer contain continue control cook cooker cooks cooling
  cooper corner cornfed cornwall cost costco cottage could counter country couple course courses court cousins
  cover covers craig cream create cricket crime crisp crock crumb crumbs crunchy crusted crusty cube cubes
  cultural culture cumin current curry customer daniel dark data daughter david davies dead deal dean death
  debate decade decide decision deck deep defense definitely degree delivered delivery dennis dense derby derek
  describe design despite dessert detail determine develop devon dexter dial diana dice diced difference
  different difficult dinner direction director discover discuss disease dishwasher diwali dixon docket doctor
  donald door doors dorset douglas down dozen drain drained draw dream drinks dripping drive drizzle drop drug
  dublin duncan during duroc dutch each early east easy economic economy edge education edward edwards effect
  effort eggs eight either election element ella else emily emma employee energy engagement enjoy enough enter
  entire entirely environment eric especially essex establish euros evans even evening event ever every
  everybody everyone everything evidence exactly example executive exist expect experience expert explain expo
  extra extremely face fact factor fail fairly faith fall family fancy farm fast father faulty fawkes fear
  federal feel feeling festival field fight figure fill film final finally finals financial find fine finger
  finish fire firepit firm first fish fisher fishmonger five flat floor floppy flour flynn focus follow food
  foolproof foot football force foreign forget forks form former forward four francis frank fred free freeman
  freezer fridge friend fries from front frost full fully fund funeral funny future galloway game garage garden
  gary gauge general generally generation generous gents geoff george gerald giant gibson girl girls give glass
  gloucester goal golden golf good gordon gorgeous government grace graduation graham grandad grandma granny
  grant grass gravy great green greg gressingham griddle grocer groom ground group grow growth guess hair half
  hall halloween hand handful hang hanukkah happen happy hard harold harris harrison harry harvest have head
  heads health hear heart heavy helen help henry here hereford heritage herself high hill himself history hogget
  hold holding home honestly honey hoof hope hopefully hospital hotbox hotel hour house howard however huge hugh
  hughes human hundred hung hunt husband iberico idea ideally identify iftar image imagine impact important
  improve include including increase incredibly indeed indicate individual industry information inlaws inside
  instead institution interest interesting international interview into investment involve ireland iron issue
  item itself jack jackson james jane jason jean jenkins jerry jiggle joan john johnson join jones juicy julia
  jumbo just kate keep keith kelly kenneth kent kevin kidney kidneys kids kill kind king kitchen knight knives
  knob know knowledge label ladies lads land lane language lard larded larder large larry last late later laugh
  laura lawyer lead leader learn least leave leaving leeds leek leeks left leftover leftovers legal lemon lemons
  lent less letter level lewis lidl life light like likely lime limousin line list listen literally little live
  liver lloyd local lodge london long look loose loosely lose loss lost love lovely lower lucy luke lynch
  machine madrid magazine main mainly mains maintain major majority make malcolm manage management manager
  mangalitsa many marbled marbling maria marie mark market marquee marriage marsh marshall martha martin mary
  mash mason massage massaged massive match material mates matter matthew maybe mayo mean measure media medical
  medium meet meeting member memory mention message method michael middle midget might mike military milk miller
  million mills mind mini minute mise miss mission mitchell model modern moist moment money monster month moore
  more morgan morning morris most mostly mother mouth move movement movie much murphy murray muscovy music must
  mustard mutton myself name nathan nation national natural nature near nearly necessary neck need needed
  neighbour neighbours neil nephew nervous network never news newspaper next nice nick niece nigel night noah
  noble none noodle norfolk normal normally norman north note nothing notice number obliged obviously occupied
  occur offer office officer official often oliver olivia once onion onions only onto open opens operation
  opportunity option orange order organic organization other others outside over owner packed packet page pain
  painting pale palmer pantry paper paprika parent paris parker parsnip parsnips part participant particular
  partly partner party pass passover past pasta pasture patient patio patrick patted pattern paul peace pearce
  pearson peas pentecost people pepper peppercorn perfectly perform performance perhaps period person personal
  peter phil philip phone photos physical pick pickup pickups picnic picture piece pierce pierced pigs pinch
  place plan plancha plant plated plates platter play player please point poke poked police policy political
  poor popular population porch port porter portion portions posh position positive possible possibly potter
  pounds powell power practice precisely preferably prep prepare preps present president press pressed pressure
  pretty prevent price prick pricked prime private probably probe problem process produce product production
  professional professor program project proofer proper property protect prove provide public pudding pull
  pulled pulls pumpkin purpose push quality question quick quickly quid quite quiz race races rack radio raffle
  raise ralph ramadan range rate rather rayburn raymond reach read ready real reality realize really rear reared
  reason receive recent recently recognize record reduce reflect regards regatta region regular reid relate
  relationship religious remain remember remove report represent require research resource respond response
  responsibility result retirement return reunion reveal rice rich richard right rinse rinsed rise risk road
  roaster roasties roasting robert roberts robin rock roger role rome ronald room rose ross round rubs rugby
  rule russell ruth ryan safe sage salad salamander salt same samuel sandwich sandwiches sarah sauce sausage
  sausages save scared scene school science scientist score scotland scott seal sean season seat second section
  security seder seek seem select sell send senior sense series serious serve server servers service seven
  several shaam shake shaped share sharp shaw shed sheet shelf shelves shoot shop short shot should shoulder
  show shred shredded side sign significant similar simon simple simply simpson since sing single sister site
  situation size skill skillet skin slaw sliceable sliced slices slicing slightly slit slits slow small smaller
  smile smith smoky snow social society soft soldier some somebody someone somerset something sometimes song
  soon sophie sorry sort sound soup sour source sous south southern space speak special specific speech speeches
  spend spicy splash spoon spoonful sport spot spots spring sprinkle sprout sprouts square squash staff stage
  stand standard stanley star start starter state statement station stay steamer step stephen steve stevens stew
  stewart sticker sticky still stock stone stop store story stout stove strategy street strictly strip strips
  strong structure stuart stuck stud studded student studio study stuff style subject success successful such
  suddenly suffer suffolk sugar suggest suggestions sullivan summer super supermarket support sure surface
  surrey sussex swede sweet swift system table tail take talk tall tallow tamworth tangy tanned task taylor team
  tell temperamental tend tender term terry tesco test texas than thank thanks that their them themselves then
  theory there thermapen these they thick thin thing think third this thomas thompson those though thought
  thousand threat three through throughout throw thus thyme ticket time timer timothy tiny tips toast toasts
  today together tonight tony total totally tough toward town trade traditional training travel tray treat
  treatment tree trevor trial trip tripe trivet trotter trouble true truss truth turn turner turnip twelve type
  typical typically ultra under understand uneven unit untied until upon usual usually vacuum vaguely value
  various venue very victim victor view villa village vincent violence visit voice vote wagyu wait waiter
  waitress waitrose wake wales walk walker wall walter want wanted ward warmer warren wash washed watch water
  waters wayne weapon wear webb webster week weight weird well welsh west western what whatever when where
  whether which while whisky white whole whom whopping whose wide wife wiggle will william wilson wind window
  wine winter wire wireless wish with within without wobble woman wonder wood word work worker world worried
  worry would wright write writer wrong yacht yard yeah year yogurt york young your yourself
`

/** In a line about a roast these are a slip of the finger, or another way to write ours. */
const SLIPS: Readonly<Record<string, string>> = {
  chipolata: 'chipolatas',
  color: 'colour',
  degree: 'degrees',
  friend: 'friends',
  fries: 'fried',
  leeds: 'leeks',
  meet: 'meat',
  parsnip: 'parsnips',
  rate: 'rare',
  sprout: 'sprouts',
  super: 'supper',
  test: 'tent',
}

describe('everyday words beside a roast', () => {
  it('are not taken for a misspelt word of ours', () => {
    const taken = Object.fromEntries(
      EVERYDAY.trim()
        .split(/\s+/)
        .flatMap((word) => {
          const mended = spelling(word)
          return mended === undefined ? [] : [[word, mended]]
        }),
    )
    expect(taken).toEqual(SLIPS)
  })
})
