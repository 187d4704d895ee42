package mardun.core.label;

import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/** Sheets of labels as shops usually have them, by paper, number and size; all lie in the middle of their page. */
public enum CommonSheet {
    A4_24(a4(70, 37, 0, 0, 3, 8)),
    A4_21(a4Tenths(635, 381, 25, 0, 3, 7)),
    A4_14(a4Tenths(991, 381, 25, 0, 2, 7)),
    A4_10_CARDS(a4(85, 54, 10, 0, 2, 5)),
    A4_40(a4Tenths(485, 254, 0, 0, 4, 10)),
    A4_65(a4Tenths(381, 212, 25, 0, 5, 13)),
    LETTER_30(letter(inch(21, 8), inch(1, 1), inch(1, 8), 3, 10)),
    LETTER_20(letter(inch(4, 1), inch(1, 1), inch(3, 16), 2, 10)),
    LETTER_10(letter(inch(4, 1), inch(2, 1), inch(3, 16), 2, 5)),
    LETTER_10_CARDS(letter(inch(7, 2), inch(2, 1), Length.ZERO, 2, 5)),
    LETTER_80(letter(inch(7, 4), inch(1, 2), inch(5, 16), 4, 20));

    private final LabelSheet sheet;

    CommonSheet(LabelSheet sheet) {
        this.sheet = sheet;
    }

    public LabelSheet sheet() {
        return sheet;
    }

    private static LabelSheet a4(int width, int height, int gapAcross, int gapDown, int across, int down) {
        return a4Tenths(10 * width, 10 * height, 10 * gapAcross, 10 * gapDown, across, down);
    }

    private static LabelSheet a4Tenths(int width, int height, int gapAcross, int gapDown, int across, int down) {
        return LabelSheet.centred(
                new Extent(tenths(2100), tenths(2970)),
                new Extent(tenths(width), tenths(height)),
                tenths(gapAcross),
                tenths(gapDown),
                across,
                down);
    }

    private static LabelSheet letter(Length width, Length height, Length gapAcross, int across, int down) {
        return LabelSheet.centred(
                new Extent(inch(17, 2), inch(11, 1)), new Extent(width, height), gapAcross, Length.ZERO, across, down);
    }

    private static Length tenths(int tenths) {
        return Length.of(tenths, 10, LengthUnit.MILLIMETRE);
    }

    private static Length inch(int numerator, int denominator) {
        return Length.of(numerator, denominator, LengthUnit.INCH);
    }
}
