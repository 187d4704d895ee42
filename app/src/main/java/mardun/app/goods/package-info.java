/** Finished bags: lots, where they lie, and every movement of them. */
package mardun.app.goods;
