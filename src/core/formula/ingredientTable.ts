import { allergens, ingredientGroups, measureStates, type Allergen, type Ingredient } from "./ingredient";

/**
 * The ingredients of this craft, one a row:
 * id | name | other names | group | density g/ml by state | piece g | water % | fat % | sugar % | starch % |
 * allergens | pack g, price. Where a cell is empty the figure is none or not known.
 * Composition is rounded from public food composition tables; densities are levelled cups, rounded to 0.01;
 * packs and prices are invented examples, for the baker to overwrite.
 */
const TABLE = `
plain-flour|plain flour|all-purpose flour, all purpose flour, flour, white flour, wheat flour|flour|plain .53, packed .63, sifted .46||13|1|1|71|gluten|1500 130
strong-flour|strong flour|bread flour, strong white flour|flour|plain .55, packed .65, sifted .48||13|1.5|1|69|gluten|1500 165
cake-flour|cake flour|soft flour, pastry flour|flour|plain .48, sifted .42||13|1|1|75|gluten|1000 150
self-raising-flour|self-raising flour|self-rising flour|flour|plain .53, sifted .46||13|1|1|71|gluten|1500 140
wholemeal-flour|wholemeal flour|whole wheat flour, wholewheat flour|flour|plain .51, sifted .45||13|2|2|60|gluten|1500 170
rye-flour|rye flour||flour|plain .46, sifted .42||13|2|2|62|gluten|1000 180
spelt-flour|spelt flour||flour|plain .5||13|2.5|2|60|gluten|1000 230
rice-flour|rice flour||flour|plain .63||12|1.5|0|80||500 160
buckwheat-flour|buckwheat flour||flour|plain .52||12|3|1|68||500 240
chickpea-flour|chickpea flour|gram flour|flour|plain .4||10|6|10|45||500 190
semolina|fine semolina|semolina|flour|plain .68||13|1|1|70|gluten|500 110
oat-flakes|oat flakes|rolled oats, oats, porridge oats|flour|plain .38||10|7|1|58|gluten|1000 150
breadcrumbs|dry breadcrumbs|breadcrumbs|flour|plain .42||8|4|5|63|gluten|400 140
cornflour|cornflour|cornstarch, corn starch, maize starch|starch|plain .54, packed .64||12|0|0|87||500 140
potato-starch|potato starch||starch|plain .68||16|0|0|82||500 170
tapioca-starch|tapioca starch|tapioca flour|starch|plain .5||11|0|3|86||500 210
custard-powder|custard powder||starch|plain .55||12|0|1|85||300 180
gelatine-powder|gelatine powder|powdered gelatin, gelatin|other|plain .68||10|0|0|0||100 290
gelatine-leaf|gelatine leaf|gelatin leaf, leaf gelatine|other||2|10|0|0|0||50 260
butter|unsalted butter|butter, cold butter, sweet butter|fat|plain .95, melted .91, grated .5||16|82|1|0|milk|250 240
salted-butter|salted butter||fat|plain .95, melted .91||15|81|1|0|milk|250 240
clarified-butter|clarified butter|ghee|fat|plain .95, melted .9||0|99.5|0|0|milk|500 690
lard|lard|leaf lard|fat|plain .9, melted .89||0.5|99|0|0||250 120
shortening|vegetable shortening|shortening, white vegetable fat|fat|plain .85, melted .89||0|100|0|0||500 310
margarine|block margarine|margarine|fat|plain .93, melted .9||18|80|0|0|milk soya|250 130
suet|shredded suet|suet, beef suet|fat|plain .6||2|87|0|9|gluten|200 170
sunflower-oil|sunflower oil|vegetable oil, oil, neutral oil, frying oil|fat|plain .92||0|100|0|0||1000 230
olive-oil|olive oil||fat|plain .91||0|100|0|0||750 640
coconut-oil|coconut oil||fat|plain .92||0|100|0|0||500 450
duck-fat|duck fat|goose fat|fat|plain .9||0|99.5|0|0||320 390
milk|whole milk|milk|dairy|plain 1.03||87.5|3.6|4.8|0|milk|1000 110
buttermilk|buttermilk||dairy|plain 1.03||90|1|4.8|0|milk|500 120
double-cream|double cream|heavy cream, whipping cream, cream|dairy|plain 1||48|48|2.5|0|milk|300 190
single-cream|single cream|light cream|dairy|plain 1.01||74|19|4|0|milk|300 140
soured-cream|soured cream|sour cream|dairy|plain 1.02||74|18|4|0|milk|300 140
creme-fraiche|crème fraîche|creme fraiche|dairy|plain 1||62|31|3|0|milk|300 190
yoghurt|plain yoghurt|yogurt, natural yoghurt|dairy|plain 1.04||87|3.3|4.7|0|milk|500 130
thick-yoghurt|thick yoghurt|strained yoghurt, greek yogurt|dairy|plain 1.05||79|9|4|0|milk|500 240
cream-cheese|cream cheese||dairy|plain .98||56|33|4|0|milk|200 180
curd-cheese|curd cheese|quark, farmer's cheese|dairy|plain 1.02||76|8|4|0|milk|250 150
ricotta|ricotta||dairy|plain 1.03||73|12|4|0|milk|250 170
cottage-cheese|cottage cheese||dairy|plain .95||80|4|3|0|milk|300 150
white-brined-cheese|white brined cheese|white cheese, brined cheese|dairy|plain .63, chopped .58||54|24|1|0|milk|400 390
hard-cheese|hard cheese|mature cheese|dairy|grated .38, plain 1.05||37|34|0|0|milk|400 440
dry-grating-cheese|dry grating cheese|grating cheese|dairy|grated .36||29|30|0|0|milk|200 390
condensed-milk|condensed milk|sweetened condensed milk|dairy|plain 1.28||27|8.5|55|0|milk|397 190
evaporated-milk|evaporated milk||dairy|plain 1.06||73|8|10|0|milk|410 110
milk-powder|milk powder|dried milk|dairy|plain .5||3|1|52|0|milk|300 240
egg|egg|eggs, whole egg, whole eggs, beaten egg|egg|plain 1.03|51|76|10|0.5|0|egg|612 330
egg-yolk|egg yolk|yolk, yolks, egg yolks|egg|plain 1.03|17|50|28|0.5|0|egg|
egg-white|egg white|white, whites, egg whites|egg|plain 1.04|34|88|0|0.7|0|egg|
sugar|sugar|white sugar, granulated sugar|sugar|plain .85||0|0|100|0||1000 120
caster-sugar|caster sugar|superfine sugar|sugar|plain .88||0|0|100|0||1000 150
icing-sugar|icing sugar|powdered sugar, confectioners sugar|sugar|plain .51, sifted .42, packed .6||0.5|0|98|1||500 120
brown-sugar|brown sugar|soft brown sugar, light brown sugar|sugar|plain .72, packed .92||1.5|0|97|0||500 140
dark-sugar|dark muscovado sugar|dark brown sugar, muscovado|sugar|plain .74, packed .95||2|0|95|0||500 190
demerara-sugar|demerara sugar|raw sugar|sugar|plain .83||0.5|0|99|0||500 150
honey|honey||sugar|plain 1.42||18|0|81|0||340 320
golden-syrup|light syrup|golden syrup, corn syrup|sugar|plain 1.4||20|0|79|0||454 170
treacle|treacle|molasses, dark syrup|sugar|plain 1.42||22|0|70|0||454 190
maple-syrup|maple syrup||sugar|plain 1.32||33|0|66|0||250 590
glucose-syrup|glucose syrup||sugar|plain 1.42||20|0|40|0||400 340
jam|fruit jam|jam|sugar|plain 1.33||31|0|65|0||454 190
marmalade|marmalade||sugar|plain 1.35||29|0|67|0||454 210
apple|apple|apples, cooking apple, cooking apples|fruit|chopped .46, grated .5|150|85|0|11|1||1000 190
pear|pear|pears|fruit|chopped .6|130|84|0|10|0||1000 240
quince|quince|quinces|fruit|chopped .55|210|84|0|9|0||1000 390
plum|plum|plums|fruit|chopped .7|60|87|0|10|0||1000 280
apricot|apricot|apricots|fruit|chopped .68|40|86|0|9|0||1000 340
peach|peach|peaches|fruit|chopped .7|140|88|0|8|0||1000 320
cherry|stoned cherries|cherry, cherries|fruit|plain .65|6|82|0|13|0||500 390
strawberry|strawberry|strawberries|fruit|plain .6, chopped .65|14|91|0|5|0||400 290
raspberry|raspberry|raspberries|fruit|plain .52|4|86|0|4|0||250 290
blackberry|blackberry|blackberries|fruit|plain .6|5|88|0|5|0||250 270
blueberry|blueberry|blueberries|fruit|plain .62|1.6|84|0|10|0||250 260
blackcurrant|blackcurrants|currants black|fruit|plain .47|1|82|0|8|0||250 280
redcurrant|redcurrants|currants red, red currants|fruit|plain .49|0.5|84|0|7|0||125 240
gooseberry|gooseberries|gooseberry|fruit|plain .63|5|88|0|4|0||400 310
rhubarb|rhubarb||fruit|chopped .52|110|94|0|1|0||500 210
lemon|lemon|lemons|fruit||90|89|0|2.5|0||500 160
lemon-juice|lemon juice||liquid|plain 1.02|45|91|0|2.5|0||250 140
lemon-zest|lemon zest|zest of lemon, lemon rind|spice|grated .4|6|80|0|4|0||
orange|orange|oranges|fruit||140|87|0|9|0||1000 190
orange-juice|orange juice||liquid|plain 1.04|75|88|0|9|0||1000 170
orange-zest|orange zest|zest of orange, orange rind|spice|grated .4|10|80|0|4|0||
banana|banana|bananas|fruit|chopped .63|100|75|0|12|8||1000 140
date|stoned dates|dates, date|fruit|chopped .62|8|20|0|66|0|sulphites|500 330
fig|dried figs|figs, fig|fruit|chopped .63|18|26|1|55|0|sulphites|500 390
raisin|raisins|sultanas, raisin|fruit|plain .61||16|0.5|66|0|sulphites|500 210
currant|dried currants|currants|fruit|plain .6||18|0|65|0|sulphites|500 230
prune|stoned prunes|prunes|fruit|chopped .7|8|31|0|38|0|sulphites|500 290
candied-peel|candied peel|mixed peel|fruit|chopped .6||18|0|75|0|sulphites|200 180
coconut|desiccated coconut|dried coconut|nut|plain .32||3|63|6|0||250 170
ground-almonds|ground almonds|almond meal, almond flour|nut|ground .4, plain .4||5|52|4|2|nuts|200 260
almond|almonds|flaked almonds, almond|nut|chopped .5, plain .58||5|50|4|2|nuts|200 240
hazelnut|hazelnuts|hazelnut|nut|chopped .5, ground .38, plain .57||5|61|4|1|nuts|200 280
walnut|walnuts|walnut|nut|chopped .48, plain .42||4|65|3|0|nuts|200 270
pistachio|pistachios|pistachio|nut|chopped .5, plain .52||4|45|8|2|nuts|200 480
pecan|pecans|pecan|nut|chopped .46, plain .42||4|72|4|0|nuts|200 390
chestnut|cooked chestnuts|chestnuts, chestnut|nut|chopped .6|9|58|2|11|22||200 320
peanut|peanuts|peanut|nut|chopped .55, plain .6||2|50|5|6|peanut|300 160
sesame|sesame seed|sesame seeds, sesame|nut|plain .6||5|50|0|1|sesame|250 210
tahini|tahini|sesame paste|nut|plain 1.05||2|57|0|2|sesame|300 320
poppy-seed|poppy seed|poppy seeds|nut|plain .57, ground .5||6|42|3|1||250 260
sunflower-seed|sunflower seeds||nut|plain .58||5|51|3|1||500 230
pine-nut|pine nuts||nut|plain .55||2|68|4|1||100 420
dark-chocolate|dark chocolate|bittersweet chocolate, chocolate|other|chopped .65, grated .4, melted 1.25||1|38|40|5|milk soya|200 290
milk-chocolate|milk chocolate||other|chopped .65, melted 1.23||1|32|52|0|milk soya|200 260
cocoa|cocoa powder|cocoa|other|plain .42, sifted .36||4|14|1|20||250 320
chocolate-hazelnut|chocolate hazelnut paste||other|plain 1.25||1|32|55|0|nuts milk soya|400 390
peanut-butter|peanut butter||nut|plain 1.08||2|50|6|5|peanut|340 240
salt|fine salt|salt, table salt|spice|plain 1.2||0|0|0|0||750 70
flaky-salt|flaky salt|sea salt flakes|spice|plain .55||0|0|0|0||250 210
baking-powder|baking powder||spice|plain .9||5|0|0|28||170 160
bicarbonate|bicarbonate of soda|baking soda|spice|plain .92||0|0|0|0||200 110
dry-yeast|dry yeast|instant yeast|spice|plain .63||6|7|0|0||125 190
vanilla-extract|vanilla extract|vanilla|spice|plain .88||53|0|13|0||100 490
cinnamon|ground cinnamon|cinnamon|spice|plain .53||10|1|2|2||50 150
cardamom|ground cardamom|cardamom|spice|plain .41||8|7|0|25||40 290
ginger|ground ginger|ginger|spice|plain .36||10|4|3|50||50 150
nutmeg|ground nutmeg|nutmeg|spice|plain .47||6|36|3|10||40 180
clove|ground cloves|cloves|spice|plain .44||10|13|2|10||40 190
mixed-spice|mixed spice|pie spice|spice|plain .47||9|8|2|15||40 160
saffron|saffron||spice|plain .14||12|6|0|20||1 390
bay-leaf|bay leaf|bay leaves|spice||0.2|5|8|0|0||10 120
black-pepper|ground black pepper|black pepper, pepper|spice|plain .47||12|3|1|38||50 170
paprika|paprika||spice|plain .46||11|13|10|5||50 150
cumin|ground cumin|cumin|spice|plain .41||8|22|2|15||50 150
mustard|mustard|prepared mustard|spice|plain 1.05||80|4|3|2|mustard|200 130
parsley|parsley|chopped parsley|vegetable|chopped .25||88|1|1|0||50 90
mint|mint leaves|mint|vegetable|chopped .2||85|1|0|0||30 90
dill|dill||vegetable|chopped .2||86|1|0|0||30 90
leek|leek|leeks|vegetable|chopped .38|150|90|0.5|4|1||500 190
onion|onion|onions|vegetable|chopped .6|130|89|0|5|0||1000 110
spring-onion|spring onion|spring onions, scallions|vegetable|chopped .35|15|90|0|3|0||100 80
garlic|garlic clove|garlic, garlic cloves, cloves of garlic|vegetable|chopped .58|4|62|0|2|25||100 90
potato|potato|potatoes|vegetable|chopped .63, grated .6|170|79|0|1|16||1500 160
sweet-potato|sweet potato|sweet potatoes|vegetable|chopped .6|200|77|0|5|13||1000 220
carrot|carrot|carrots|vegetable|chopped .55, grated .46|80|89|0|6|1||1000 110
pumpkin|pumpkin|squash|vegetable|chopped .5||91|0|3|2||1000 230
courgette|courgette|courgettes, zucchini|vegetable|chopped .53, grated .55|200|94|0|2|0||500 180
spinach|spinach||vegetable|plain .13, chopped .2||92|0.5|0.5|0||250 170
mushroom|mushrooms|mushroom|vegetable|chopped .32|15|92|0.3|2|0||400 180
pea|peas|green peas|vegetable|plain .6||78|0.5|6|4||500 130
cabbage|cabbage||vegetable|chopped .35||92|0|3|0||1000 110
pepper-sweet|sweet pepper|bell pepper, sweet peppers|vegetable|chopped .6|150|92|0|4|0||500 240
aubergine|aubergine|eggplant, aubergines|vegetable|chopped .35|280|92|0|3|0||500 220
tomato|tomato|tomatoes|vegetable|chopped .76|110|94|0|3|0||500 180
tomato-paste|tomato paste|tomato purée|vegetable|plain 1.1||74|0.5|12|0||200 90
minced-beef|minced beef|ground beef|meat|plain .95||64|17|0|0||500 490
minced-lamb|minced lamb|ground lamb|meat|plain .95||62|19|0|0||500 590
minced-pork|minced pork|ground pork|meat|plain .95||63|18|0|0||500 390
chicken|cooked chicken|chicken|meat|chopped .58||65|8|0|0||500 620
bacon|bacon|smoked bacon|meat|chopped .6|25|55|28|0|0||300 320
smoked-fish|smoked fish||meat|chopped .6||70|6|0|0|fish|250 540
prawn|peeled prawns|prawns, shrimp|meat|plain .65|8|80|0.7|0|0|crustaceans|300 590
water|water|cold water, iced water, ice water|liquid|plain 1||100|0|0|0||
flower-water|orange-blossom water|orange flower water|liquid|plain 1||100|0|0|0||200 320
rose-water|rose water||liquid|plain 1||100|0|0|0||200 320
vinegar|cider vinegar|vinegar, white vinegar|liquid|plain 1.01||94|0|0.5|0||500 130
wine-white|white wine|wine|liquid|plain .99||87|0|1|0|sulphites|750 690
brandy|brandy|spirits|liquid|plain .95||67|0|0|0||350 1290
stock|stock|broth|liquid|plain 1.01||97|0.5|0.5|0|celery|500 160
coffee|strong coffee|coffee, espresso|liquid|plain 1||98|0|0|0||
bought-puff|bought puff sheet|puff pastry, ready-rolled puff|other||320|33|26|2|33|gluten|320 240
soya-drink|soya drink|soy milk|liquid|plain 1.03||91|1.8|2.5|0|soya|1000 160
`;

const SOURCE = "food composition tables, rounded; density of a levelled cup";
/** The table is written in percent, as such tables are. */
const SHARE_PER_PERCENT = 0.01;

/** The book as it ships. Throws on a row that does not read: the test reads them all. */
export const standardIngredients: readonly Ingredient[] = TABLE.trim().split("\n").map(parseRow);

function parseRow(row: string): Ingredient {
  const cells = row.split("|");
  const cell = (i: number) => cells[i]?.trim() ?? "";
  const list = (text: string, separator: string) =>
    text.split(separator).flatMap((part) => (part.trim() === "" ? [] : [part.trim()]));
  const share = (i: number) => Number((readNumber(row, cell(i)) * SHARE_PER_PERCENT).toFixed(6));
  const [packG, priceMinor] = list(cell(11), " ");
  return {
    id: cell(0),
    name: cell(1),
    otherNames: list(cell(2), ","),
    group: readWord(row, cell(3), ingredientGroups),
    densities: list(cell(4), ",").map((part) => {
      const [state = "", gPerMl = ""] = part.split(" ");
      return { state: readWord(row, state, measureStates), gPerMl: readNumber(row, gPerMl) };
    }),
    pieceG: cell(5) === "" ? null : readNumber(row, cell(5)),
    waterShare: share(6),
    fatShare: share(7),
    sugarShare: share(8),
    starchShare: share(9),
    allergens: list(cell(10), " ").map((word): Allergen => readWord(row, word, allergens)),
    pack: packG && priceMinor ? { massG: Number(packG), priceMinor: Number(priceMinor) } : null,
    source: SOURCE,
  };
}

function readNumber(row: string, text: string): number {
  const value = Number(text);
  if (text === "" || !Number.isFinite(value)) throw new RangeError(`“${text}” is no number in: ${row}`);
  return value;
}

function readWord<T extends string>(row: string, text: string, words: readonly T[]): T {
  const word = words.find((each) => each === text);
  if (!word) throw new RangeError(`“${text}” is not among ${words.join(", ")} in: ${row}`);
  return word;
}
