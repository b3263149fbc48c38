package app.tychon.core.model;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A part of a plan that is a list of objects. What holds for all parts alike (files, storage, differences, undo, answers,
 * rules) is written once for sections; {@link Sections} lists them.
 *
 * @param name as the project file calls it
 * @param one what one of its objects is called in a sentence, with its article
 * @param title what stands before the key of one of its objects in a list of changes
 * @param of its objects in a plan, in their order
 * @param put replaces them in a plan under change
 * @param key tells objects apart
 * @param keys what keys are
 * @param rules what must hold of its objects beside that of their ids
 */
public record Section<T>(
        String name,
        String one,
        String title,
        Function<Plan, List<T>> of,
        BiFunction<PlanDraft, List<T>, PlanDraft> put,
        Function<T, String> key,
        Keys keys,
        Rules rules) {

    /** What the keys of a section are. */
    public enum Keys {
        /** Ids, each given once in the section. */
        IDS,
        /** Ids that others name where they say what they are on, so that no two sections of this kind share one. */
        TARGETS,
        /** Made of what an object says; nobody gives them. */
        MADE,
        /** The activity that an object leads into. All that lead into one are changed together. */
        INTO
    }

    /** Finds what is wrong with the objects of a section. */
    @FunctionalInterface
    interface Rules {
        void check(Plan plan, PlanNames names, Found found);
    }
}
