/** What bags cost and what they are asked for, and what a year costs beside them. */
package mardun.app.price;
