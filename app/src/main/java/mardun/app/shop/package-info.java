/** The online shop, a simulated one that ships with the application: offers, orders, payouts. */
package mardun.app.shop;
