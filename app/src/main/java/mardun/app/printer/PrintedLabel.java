package mardun.app.printer;

import mardun.app.paper.LabelDrawing;

/**
 * A label as it is given to a printer.
 *
 * @param key by which it is known; given twice it comes out once
 * @param drawing what stands on it, true to size
 */
public record PrintedLabel(String key, LabelDrawing drawing) {}
