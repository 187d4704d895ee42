package mardun.app.settings;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings.EnteredMachine;
import mardun.app.settings.SettingsForm.MachineForm;
import mardun.core.making.Machine;
import mardun.core.making.Machine.Ability;
import mardun.core.making.SetUp;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * Reads the maker's machines as they were typed; each needs a name of its own.
 *
 * @param bare the unit of a length that was typed without one
 * @param widest no machine sews a thicker seam
 */
record MachineReader(FieldReader fields, LengthUnit bare, Length widest) {

    private static final int LONGEST_NAME = 120;

    /** A machine as it would be typed. */
    static MachineForm form(Machine machine, Function<Length, String> written) {
        return new MachineForm(
                Integer.valueOf(machine.key()),
                machine.name(),
                machine.kind(),
                machine.abilities().contains(Ability.ZIGZAG),
                machine.abilities().contains(Ability.WALKING_FOOT),
                machine.abilities().contains(Ability.FREE_ARM),
                machine.thickest().map(written).orElse(""));
    }

    /** Machines as they are. */
    static List<EnteredMachine> kept(List<Machine> machines) {
        return machines.stream()
                .map(machine -> new EnteredMachine(
                        Optional.of(Integer.valueOf(machine.key())),
                        machine.name(),
                        machine.kind(),
                        machine.abilities(),
                        machine.thickest()))
                .toList();
    }

    /**
     * Machines as they were typed.
     *
     * @param before those that are there; one with an id that none of them has is a new one
     */
    List<EnteredMachine> read(List<MachineForm> forms, List<Machine> before) {
        Set<Integer> known =
                before.stream().map(machine -> Integer.valueOf(machine.key())).collect(Collectors.toSet());
        Set<String> names = new HashSet<>();
        List<EnteredMachine> machines = new ArrayList<>();
        for (int i = 0; i < forms.size(); i++) {
            MachineForm form = forms.get(i);
            String place = "machines." + i + ".";
            String name = fields.text(place + "name", form.name(), LONGEST_NAME);
            if (!name.isEmpty() && !names.add(SetUp.plain(name))) {
                fields.refuse(
                        place + "name", name, "Two machines are called “" + name + "”. Call one of them otherwise.");
            }
            if (!form.kind().isMachine()) {
                fields.refuse(
                        place + "kind",
                        form.kind().name(),
                        "A " + form.kind().words() + " isn't a machine. Choose what it is.");
            }
            machines.add(new EnteredMachine(
                    Optional.ofNullable(form.id()).filter(known::remove),
                    name,
                    form.kind(),
                    abilities(form),
                    form.thickest().isBlank()
                            ? Optional.empty()
                            : Optional.of(fields.positiveLength(place + "thickest", form.thickest(), bare, widest))));
        }
        return machines;
    }

    private static Set<Ability> abilities(MachineForm form) {
        Set<Ability> abilities = EnumSet.noneOf(Ability.class);
        if (form.zigzag()) {
            abilities.add(Ability.ZIGZAG);
        }
        if (form.walkingFoot()) {
            abilities.add(Ability.WALKING_FOOT);
        }
        if (form.freeArm()) {
            abilities.add(Ability.FREE_ARM);
        }
        return abilities;
    }
}
