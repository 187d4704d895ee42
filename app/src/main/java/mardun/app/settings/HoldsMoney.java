package mardun.app.settings;

/** An area that stores amounts of money, so that the currency's coins can't change under them. */
public interface HoldsMoney {

    boolean holdsMoney();
}
