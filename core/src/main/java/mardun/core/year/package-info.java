/** What a year of making and selling adds up to: what an hour earned, where the money went, what lies, and what deserves to be said of it. */
package mardun.core.year;
