/** A project whose one page says the same in every language whose words are parted or whose letters ship. */
import type { ProjectFile } from '../../core/document/schema'
import type { Props } from '../../core/properties/table'
import { box, project, stretch, text } from './pieces'

/** By BCP 47 tag: what the seed library lends, in a sentence or two. */
export const SAMPLES: Readonly<Record<string, string>> = {
  bg: 'Библиотеката раздава семена от стари сортове зеленчуци. Вземете пакетче през пролетта и върнете шепа семена наесен.',
  ca: 'La biblioteca presta llavors de varietats antigues d’hortalisses. Emporta’t un paquet a la primavera i torna’n un grapat a la tardor.',
  cs: 'Knihovna půjčuje osivo starých odrůd zeleniny. Na jaře si odneste sáček a na podzim vraťte hrst vypěstovaných semen.',
  cy: 'Mae’r llyfrgell yn benthyca hadau llysiau traddodiadol. Ewch â phecyn yn y gwanwyn a dychwelwch ddyrnaid yn yr hydref.',
  da: 'Biblioteket udlåner frø af gamle grøntsagssorter. Tag en pose med hjem om foråret, og aflever en håndfuld til efteråret.',
  de: 'Die Saatgutbücherei verleiht Samen alter Gemüsesorten. Im Frühling nimmt man ein Päckchen mit, im Herbst bringt man eine Handvoll Erntegut zurück.',
  el: 'Η βιβλιοθήκη δανείζει σπόρους από παλιές ποικιλίες λαχανικών. Πάρτε ένα φακελάκι την άνοιξη και επιστρέψτε μια χούφτα το φθινόπωρο.',
  en: 'The library lends seed of heirloom vegetables. Take a packet home in spring, and return a handful of what you have harvested in autumn.',
  'en-GB':
    'Neighbourhood gardeners organise the catalogue: colourful aubergines, courgettes and well-flavoured tomatoes, catalogued by when they ripen.',
  es: 'La biblioteca presta semillas de variedades antiguas de hortalizas. Llévate un sobre en primavera y devuelve un puñado en otoño.',
  et: 'Raamatukogu laenutab vanade köögiviljasortide seemneid. Võta kevadel pakike koju ja too sügisel peotäis tagasi.',
  eu: 'Liburutegiak antzinako barazki barietateen haziak uzten ditu maileguan. Eraman paketetxo bat udaberrian eta itzuli eskukada bat udazkenean.',
  fi: 'Kirjasto lainaa vanhojen vihanneslajikkeiden siemeniä. Ota pussi kotiin keväällä ja palauta kourallinen satoa syksyllä.',
  fr: 'La bibliothèque prête des semences de légumes anciens. Emportez un sachet au printemps : rendez-en une poignée à l’automne !',
  ga: 'Tugann an leabharlann síolta sean-chineálacha glasraí ar iasacht. Tabhair paicéad abhaile san earrach agus fill dornán san fhómhar.',
  gl: 'A biblioteca presta sementes de variedades antigas de hortalizas. Leva un sobre na primavera e devolve unha presada no outono.',
  hr: 'Knjižnica posuđuje sjeme starih sorti povrća. U proljeće uzmite vrećicu, a u jesen vratite šaku ubranoga sjemena.',
  hu: 'A könyvtár régi zöldségfajták vetőmagját kölcsönzi. Tavasszal vigyen haza egy tasakot, ősszel hozzon vissza egy maréknyit.',
  is: 'Bókasafnið lánar fræ af gömlum grænmetisyrkjum. Taktu pakka með heim að vori og skilaðu handfylli að hausti.',
  it: 'La biblioteca presta semi di antiche varietà di ortaggi. Porta a casa una bustina in primavera e restituiscine una manciata in autunno.',
  lt: 'Biblioteka skolina senųjų daržovių veislių sėklas. Pavasarį parsineškite pakelį, o rudenį grąžinkite saują užaugintų sėklų.',
  lv: 'Bibliotēka aizdod senu dārzeņu šķirņu sēklas. Pavasarī paņemiet paciņu un rudenī atdodiet sauju izaudzēto sēklu.',
  nb: 'Biblioteket låner ut frø av gamle grønnsakssorter. Ta med en pose hjem om våren, og lever tilbake en håndfull om høsten.',
  nl: 'De zadenbibliotheek leent zaden van oude groenterassen uit. Neem in het voorjaar een zakje mee en breng in het najaar een handvol terug.',
  pl: 'Biblioteka wypożycza nasiona dawnych odmian warzyw. Wiosną zabierz paczuszkę do domu, a jesienią oddaj garść zebranych nasion.',
  pt: 'A biblioteca empresta sementes de variedades antigas de hortaliças. Leve um pacote na primavera e devolva um punhado no outono.',
  ro: 'Biblioteca împrumută semințe din soiuri vechi de legume. Luați un plic primăvara și înapoiați un pumn toamna.',
  ru: 'Библиотека выдаёт семена старинных сортов овощей. Весной возьмите пакетик, а осенью верните горсть собранных семян.',
  sk: 'Knižnica požičiava osivo starých odrôd zeleniny. Na jar si vezmite vrecúško a na jeseň vráťte hrsť dopestovaných semien.',
  sl: 'Knjižnica posoja semena starih sort zelenjave. Spomladi odnesite vrečko domov, jeseni pa vrnite prgišče pridelanih semen.',
  sr: 'Библиотека позајмљује семе старих сорти поврћа. У пролеће понесите кесицу, а у јесен вратите шаку убраног семена.',
  sv: 'Biblioteket lånar ut frön av gamla grönsakssorter. Ta med en påse hem på våren och lämna tillbaka en handfull på hösten.',
  tr: 'Kütüphane, eski sebze çeşitlerinin tohumlarını ödünç verir. İlkbaharda bir paket alın, sonbaharda bir avuç geri getirin.',
  uk: 'Бібліотека видає насіння старовинних сортів овочів. Навесні візьміть пакетик, а восени поверніть жменю зібраного насіння.',
  vi: 'Thư viện cho mượn hạt giống của những loại rau cổ truyền. Mùa xuân mang về một gói, mùa thu trả lại một nắm.',
  he: 'הספרייה משאילה זרעים של זני ירקות ותיקים. קחו חבילה באביב, והחזירו חופן בסתיו: 12 גרם לפחות.',
  ar: 'تعير المكتبة بذور أصناف قديمة من الخضار. خذ كيسًا في الربيع، وأعد حفنة في الخريف: 12 غرامًا على الأقل.',
  fa: 'کتابخانه بذر گونه‌های کهن سبزی را امانت می‌دهد. بهار بسته‌ای بردارید و پاییز مشتی بازگردانید.',
  ja: 'この図書館では、昔ながらの野菜の種を貸し出しています。春に一袋持ち帰り、秋に一握りの種を返してください。',
  'zh-Hans': '图书馆出借古老蔬菜品种的种子。春天带走一包，秋天归还一把收获的种子。',
  ko: '도서관은 오래된 채소 품종의 씨앗을 빌려줍니다. 봄에 한 봉지를 가져가고 가을에 한 줌을 돌려주세요.',
}

const SETTINGS: readonly Props[] = [
  { fontFamily: 'Hanken Grotesk', fontSize: 16, hyphens: 'auto' },
  { fontFamily: 'Literata', fontSize: 18, hyphens: 'auto', textAlign: 'justify' },
  { fontFamily: 'Work Sans', fontSize: 24, fontWeight: 600, textWrap: 'balance' },
]

export const languagesProject = (): ProjectFile =>
  project(
    ...Object.entries(SAMPLES).map(([lang, words]) =>
      box(
        { flow: 'row', columnGap: 24, rowGap: 24, width: stretch(), paddingLeft: 24, paddingRight: 24 },
        ...SETTINGS.map((set) => text(words, { ...set, lang, width: stretch() })),
      ),
    ),
  )
