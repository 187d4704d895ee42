/** Quotes, and private orders until they are handed over. */
package mardun.app.quote;
