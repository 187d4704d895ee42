/** Resellers: what they have of ours, what they sold, and what they owe. */
package mardun.app.resell;
