package mardun.core.kind;

import java.util.List;
import java.util.Map;

/** A kind of bag that a design can begin as. */
public enum Kind {
    FLAT_POUCH("Flat zip pouch", "pouch", "Two faces and a zip at the top.", 12, new ZipPouch(false)),
    BOXED_POUCH("Boxed zip pouch", "pouch", "Stands on boxed corners, a zip at the top.", 12, new ZipPouch(true)),
    TWO_ZIP_POUCH(
            "Two zips on one face", "pouch", "Two zips across the front, two places inside.", 8, new TwoZipPouch()),
    FOLDED_SIDES("Folded-side zip bag", "pouch", "One wrap round a zip, its sides folded in.", 8, new FoldedSidesBag()),
    FLAT_TOTE("Flat tote", "tote", "Two panels or one piece, with handles.", 8, OpenBag.FLAT_TOTE),
    BOXED_TOTE("Boxed tote", "tote", "A tote with a base that stands.", 6, OpenBag.BOXED_TOTE),
    SLOUCH_BAG("Slouch bag", "shoulder bag", "A long strap and a V at the rim.", 6, OpenBag.SLOUCH_BAG),
    FLAP_BAG(
            "Flap bag with gusset",
            "shoulder bag",
            "Two faces, a strip between them, a flap over.",
            4,
            GussetBag.FLAP_BAG),
    GUSSET_BOX("Gusset box", "basket", "An open box of two faces and a strip.", 6, GussetBag.BOX),
    DRAWSTRING("Drawstring bag", "drawstring bag", "Flat, closed with one cord or two.", 16, DrawstringBag.FLAT),
    BOXED_DRAWSTRING("Boxed drawstring bag", "drawstring bag", "Stands, closed with cords.", 12, DrawstringBag.BOXED),
    BACKPACK("Drawstring backpack", "backpack", "Its cords are its straps.", 6, DrawstringBag.BACKPACK),
    ROUND_BAG("Round-based bag", "drawstring bag", "A body round a round base.", 8, new RoundBaseBag()),
    BASKET("Basket with stiffened rim", "basket", "Stands open, a stiffener in its rim.", 6, OpenBag.BASKET),
    TREAT_BAG("Treat bag", "gift", "A small bag, tied at the neck or by its ears.", 24, new TreatBag()),
    FOLD_OVER_WALLET("Fold-over wallet", "wallet", "Folded in half, slots inside.", 8, FlatGood.FOLD_OVER_WALLET),
    FLAP_WALLET("Flap wallet", "wallet", "Folded up, a flap over its front.", 8, FlatGood.FLAP_WALLET),
    ROLL_UP("Roll-up", "roll", "A row of pockets that is rolled and tied.", 6, FlatGood.ROLL_UP),
    SLEEVE("Sleeve", "sleeve", "Padded, open at the top.", 8, OpenBag.SLEEVE),
    CASE("Slim case", "case", "Quilted, for glasses, pens or a phone.", 12, OpenBag.CASE),
    KEY_FOB("Key fob", "gift", "A strip of cloth on webbing.", 24, SmallThing.KEY_FOB),
    PINCUSHION("Pincushion", "gift", "Two squares, filled.", 24, SmallThing.PINCUSHION),
    HAND_WARMER("Hand warmer", "gift", "Two rounds, filled.", 24, SmallThing.HAND_WARMER),
    EYE_MASK("Sleep mask", "gift", "Shaped, padded, on elastic.", 12, SmallThing.EYE_MASK),
    OWN("Something of your own", "", "One piece; you add the others.", 6, SmallThing.OWN);

    private final String words;
    private final String sort;
    private final String sentence;
    private final int usualUnits;
    private final Recipe recipe;

    Kind(String words, String sort, String sentence, int usualUnits, Recipe recipe) {
        this.words = words;
        this.sort = sort;
        this.sentence = sentence;
        this.usualUnits = usualUnits;
        this.recipe = recipe;
    }

    public String words() {
        return words;
    }

    /** What sort of thing it is, among all that a maker makes. */
    public String sort() {
        return sort;
    }

    public String sentence() {
        return sentence;
    }

    /** How many are usually made at once. */
    public int usualUnits() {
        return usualUnits;
    }

    /** The finished measures that it is made from, the most important first. */
    public List<Asked> measures() {
        return recipe.measures();
    }

    /** What can be chosen of it, in the order in which it is asked; of each choice the usual option first. */
    public Map<Choice, List<Option>> offers() {
        return recipe.offers();
    }

    /** What goes with what was chosen before. */
    List<Option> offered(Choice choice, Map<Choice, Option> before) {
        return offers().get(choice).stream()
                .filter(option -> before.values().stream().allMatch(option::goesWith))
                .toList();
    }

    Recipe recipe() {
        return recipe;
    }
}
