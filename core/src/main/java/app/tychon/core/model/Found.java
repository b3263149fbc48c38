package app.tychon.core.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Problems as rules find them. */
final class Found {
    private final List<Problem> problems = new ArrayList<>();

    void add(String pointer, String message) {
        problems.add(new Problem(pointer, message));
    }

    void addAll(List<Problem> others) {
        problems.addAll(others);
    }

    /** Problems of a part, whose pointers are relative to it. */
    void addAll(String pointer, List<Problem> others) {
        others.forEach(p -> add(pointer + p.pointer(), p.message()));
    }

    List<Problem> all() {
        return List.copyOf(problems);
    }

    /** In the order of the file: section by section as given, row by row. */
    List<Problem> inOrderOf(List<String> sections) {
        return problems.stream()
                .sorted(Comparator.comparingInt((Problem p) -> sections.indexOf(part(p, 1)))
                        .thenComparingInt(Found::row))
                .toList();
    }

    private static String part(Problem problem, int index) {
        String[] parts = problem.pointer().split("/");
        return index < parts.length ? parts[index] : "";
    }

    private static int row(Problem problem) {
        String row = part(problem, 2);
        return row.matches("\\d{1,9}") ? Integer.parseInt(row) : -1;
    }
}
