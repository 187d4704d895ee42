/**
 * Price tickets and labels: what stands on them ({@link mardun.core.label.TicketWords}), how it is set on a label of a given size
 * ({@link mardun.core.label.LabelFace}), where the labels lie on a sheet ({@link mardun.core.label.LabelSheet}), and which of those
 * that are printed still hold ({@link mardun.core.label.Ticketed}).
 */
package mardun.core.label;
