/** The book of sales, wherever they are made. */
package mardun.app.sale;
