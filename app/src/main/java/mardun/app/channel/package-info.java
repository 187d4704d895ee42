/** The ways of selling with their terms, as they are and as they were, and the prices that the maker has set. */
package mardun.app.channel;
