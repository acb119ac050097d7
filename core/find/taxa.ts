/**
 * The register of taxa that a find may name, with the tier each is held in.
 *
 * A find may point to a kind (what it was taken for, what grew beside it) before there is a full sheet for it,
 * so the register is wider than the shelf of sheets. Every sheet must agree with its line here.
 */
export const TIERS = ["deadly", "serious", "sickener", "conditional", "edible", "inedible"] as const;
export type Tier = (typeof TIERS)[number];

/** Tiers that make a sheet a danger. */
export const DANGER_TIERS: ReadonlySet<Tier> = new Set<Tier>(["deadly", "serious", "sickener"]);

const REGISTER: Record<Tier, string> = {
  deadly: `amanita-phalloides amanita-virosa amanita-bisporigera amanita-ocreata amanita-verna amanita-smithiana
    galerina-marginata pholiotina-rugosa lepiota-brunneoincarnata lepiota-subincarnata cortinarius-rubellus
    cortinarius-orellanus gyromitra-esculenta paxillus-involutus inosperma-erubescens clitocybe-rivulosa
    russula-subnigricans pleurocybella-porrigens trichoderma-cornu-damae amanita-fuliginea amanita-subjunquillea
    amanita-exitialis amanita-proxima amanita-marmorata galerina-sulciceps lepiota-castanea trogia-venenata
    clitocybe-phyllophila`,
  serious: `amanita-pantherina amanita-muscaria amanita-gemmata amanita-crenulata amanita-brunnescens amanita-spreta
    amanita-volvata entoloma-sinuatum omphalotus-illudens rubroboletus-satanas tricholoma-equestre
    tricholoma-pardinum inocybe-group cortinarius-violet-group chlorophyllum-molybdites hypholoma-fasciculare
    lepiota-cristata amanita-regalis amanita-abrupta omphalotus-japonicus entoloma-rhodopolium
    paralepistopsis-amoenolens hapalopilus-rutilans mycena-pura psilocybe-cyanescens panaeolus-group
    neoboletus-venenatus boletus-huronensis chlorophyllum-venenatum sarcosphaera-coronaria gyromitra-brunnea
    rubroboletus-pulcherrimus`,
  sickener: `verpa-bohemica agaricus-xanthodermus agaricus-hondensis gymnopilus-junonius lactarius-torminosus
    russula-emetica scleroderma-citrinum hygrophoropsis-aurantiaca amanita-citrina hebeloma-group
    tricholoma-ustale tricholoma-virgatum tricholoma-album turbinellus-floccosus lactarius-helvus
    caloboletus-calopus echinoderma-asperum agaricus-californicus agaricus-placomyces stropharia-coronilla
    phaeolepiota-aurea phaeolus-schweinitzii meripilus-giganteus ramaria-formosa russula-nobilis russula-foetens
    hypholoma-marginatum pholiota-squarrosa cortinarius-infractus`,
  edible: `agaricus-campestris agaricus-arvensis agaricus-crocodilinus agaricus-augustus agaricus-sylvicola
    agaricus-bitorquis macrolepiota-procera amanita-caesarea amanita-jacksonii volvariella-volvacea
    kuehneromyces-mutabilis flammulina-velutipes pleurotus-ostreatus stropharia-rugosoannulata
    infundibulicybe-geotropa clitopilus-prunulus calocybe-gambosa marasmius-oreades cortinarius-caperatus
    russula-cyanoxantha russula-virescens lactarius-deliciosus lactifluus-volemus cantharellus-cibarius
    cantharellus-lateritius cantharellus-subalbidus cantharellus-cinnabarinus craterellus-tubaeformis
    craterellus-cornucopioides hydnum-repandum boletus-edulis boletus-rubriceps boletus-barrowsii imleria-badia
    coprinus-comatus calvatia-gigantea lycoperdon-perlatum sparassis-crispa fistulina-hepatica grifola-frondosa
    hericium-erinaceus tricholoma-matsutake russula-xerampelina russula-vesca butyriboletus-appendiculatus
    laccaria-amethystina cuphophyllus-pratensis`,
  conditional: `chlorophyllum-rhacodes leucoagaricus-leucothites amanita-rubescens amanita-fulva amanita-crocea
    volvopluteus-gloiocephalus armillaria-mellea hypholoma-lateritium agrocybe-praecox clitocybe-nebularis
    lepista-nuda lepista-personata tricholoma-terreum leccinum-group suillus-luteus morchella-esculenta
    coprinopsis-atramentaria laetiporus-sulphureus trametes-versicolor fomitopsis-betulina
    tricholoma-portentosum amanita-calyptroderma amanita-vaginata xerocomellus-chrysenteron
    neoboletus-luridiformis suillus-grevillei lyophyllum-decastes cyclocybe-aegerita hypholoma-capnoides
    hypomyces-lactifluorum hygrophorus-russula auricularia-auricula-judae sarcomyxa-serotina lentinula-edodes
    lepista-flaccida ampulloclitocybe-clavipes`,
  inedible: `amanita-excelsa tylopilus-felleus trametes-betulina stereum-hirsutum leratiomyces-ceres sarcodon-scabrosus
    chalciporus-piperatus collybiopsis-peronata`,
};

const TIER_OF = new Map<string, Tier>();
for (const tier of TIERS) for (const id of REGISTER[tier].split(/\s+/)) TIER_OF.set(id, tier);

/** Identifiers of all registered taxa, sorted. */
export const TAXON_IDS: readonly string[] = [...TIER_OF.keys()].sort();

/** The tier a taxon is registered in, or undefined for a word that is no taxon. */
export function registeredTier(id: string): Tier | undefined {
  return TIER_OF.get(id);
}

/** Whether a word names a registered taxon. */
export function isTaxonId(word: string): boolean {
  return TIER_OF.has(word);
}
