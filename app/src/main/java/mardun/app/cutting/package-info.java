/** Layouts of a batch's cloths: searched, kept, corrected and printed. */
package mardun.app.cutting;
