package mardun.app.printer;

import java.time.Clock;
import java.util.Optional;
import mardun.app.printer.PrinterViews.ActForm;
import mardun.app.printer.PrinterViews.CameOutView;
import mardun.app.printer.PrinterViews.PrinterView;
import mardun.app.problem.FieldReader;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * A label printer that stands in for a real one: it runs out of labels, jams and goes offline when it is told to, and remembers what
 * came out of it whatever becomes of those who asked for it.
 */
@Service
class SimulatedLabelPrinter implements LabelPrinter {

    private static final int SHOWN = 60;
    private static final int LONGEST_ROLL = 5_000;

    private final SimulatedPrinterRepository printers;
    private final CameOutRepository labels;
    private final Clock clock;

    SimulatedLabelPrinter(SimulatedPrinterRepository printers, CameOutRepository labels, Clock clock) {
        this.printers = printers;
        this.labels = labels;
        this.clock = clock;
    }

    @Override
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public Optional<Trouble> print(PrintedLabel label) {
        SimulatedPrinter printer = held();
        if (labels.existsByLabelKeyAndCrumpledFalse(label.key())) {
            return Optional.empty();
        }
        Optional<Trouble> trouble = trouble(printer);
        if (trouble.isPresent()) {
            return trouble;
        }
        boolean jams = printer.jamsNext();
        if (jams) {
            printer.jam();
        } else {
            printer.give();
        }
        labels.save(new CameOut(label, clock.instant(), jams));
        return jams ? Optional.of(Trouble.JAM) : Optional.empty();
    }

    private static Optional<Trouble> trouble(SimulatedPrinter printer) {
        if (printer.isOffline()) {
            return Optional.of(Trouble.OFFLINE);
        }
        if (printer.isJammed()) {
            return Optional.of(Trouble.JAM);
        }
        return printer.labelsLeft() == 0 ? Optional.of(Trouble.NO_LABELS) : Optional.empty();
    }

    private SimulatedPrinter held() {
        return printers.findForUse(SimulatedPrinter.ONE).orElseThrow();
    }

    @Transactional(readOnly = true)
    PrinterView view() {
        SimulatedPrinter printer = printers.findById(SimulatedPrinter.ONE).orElseThrow();
        return new PrinterView(
                printer.isOffline(),
                printer.isJammed(),
                printer.jamsNext(),
                printer.labelsLeft(),
                trouble(printer).map(Trouble::sentence).orElse(null),
                labels.count(),
                labels.findAllByOrderByIdDesc(PageRequest.of(0, SHOWN)).stream()
                        .map(one -> new CameOutView(
                                one.id(),
                                one.cameAt(),
                                one.isCrumpled(),
                                one.face().view()))
                        .toList());
    }

    @Transactional
    public void act(ActForm form) {
        SimulatedPrinter printer = held();
        switch (form.act()) {
            case LOAD -> {
                FieldReader fields = new FieldReader();
                int many = fields.count("labels", form.labels() == null ? "" : form.labels(), 1, LONGEST_ROLL);
                fields.check();
                printer.load(many);
            }
            case CLEAR_JAM -> printer.clear();
            case JAM_NEXT -> printer.letJam();
            case SWITCH_OFF -> printer.switchTo(true);
            case SWITCH_ON -> printer.switchTo(false);
            case TAKE_LABELS_AWAY -> printer.load(0);
        }
    }
}
