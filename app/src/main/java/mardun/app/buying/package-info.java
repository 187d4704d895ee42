/** What to buy, where and how much of it, orders to suppliers, and what comes of them. */
package mardun.app.buying;
