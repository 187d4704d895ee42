/** What holds for the whole workroom: units, money, rates, machines, free hours. */
package mardun.app.settings;
