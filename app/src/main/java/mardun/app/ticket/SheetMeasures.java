package mardun.app.ticket;

import mardun.core.label.LabelSheet;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/** A sheet of labels as it is stored, in nanometres. */
record SheetMeasures(
        long pageWidthNm,
        long pageHeightNm,
        long leftNm,
        long topNm,
        long labelWidthNm,
        long labelHeightNm,
        long stepAcrossNm,
        long stepDownNm,
        int across,
        int down) {

    static SheetMeasures of(LabelSheet sheet) {
        return new SheetMeasures(
                sheet.page().width().nanometres(),
                sheet.page().height().nanometres(),
                sheet.left().nanometres(),
                sheet.top().nanometres(),
                sheet.label().width().nanometres(),
                sheet.label().height().nanometres(),
                sheet.stepAcross().nanometres(),
                sheet.stepDown().nanometres(),
                sheet.across(),
                sheet.down());
    }

    LabelSheet sheet() {
        return new LabelSheet(
                new Extent(new Length(pageWidthNm), new Length(pageHeightNm)),
                new Length(leftNm),
                new Length(topNm),
                new Extent(new Length(labelWidthNm), new Length(labelHeightNm)),
                new Length(stepAcrossNm),
                new Length(stepDownNm),
                across,
                down);
    }
}
