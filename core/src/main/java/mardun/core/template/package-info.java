/**
 * Templates to cut by, true to size. Read {@link mardun.core.template.Template} for one piece, {@link mardun.core.template.TemplatePlane} for
 * how several lie beside one another, and {@link mardun.core.template.PaperTiles} for the pages that this is printed on.
 *
 * <p>All measures are millimetres, as floating point: a template is drawn, and the exact sizes are written on it.
 */
package mardun.core.template;
