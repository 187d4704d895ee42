/**
 * Copies of the whole workroom in open formats: made by a rule, checked by bringing them back, restored at a start, kept in a
 * second place. Knows tables, and no area.
 */
package mardun.app.backup;
