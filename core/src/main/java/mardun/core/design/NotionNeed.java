package mardun.core.design;

/**
 * What is counted.
 *
 * @param quantity formula: how many one bag takes
 * @param half of a two-part notion, which half is meant; it is sold as sets, as many as the half that is needed more
 */
public record NotionNeed(String name, String slot, String quantity, Mark.Half half) {

    public static NotionNeed of(String name, String slot, String quantity) {
        return new NotionNeed(name, slot, quantity, Mark.Half.WHOLE);
    }
}
