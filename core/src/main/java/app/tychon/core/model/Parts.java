package app.tychon.core.model;

import java.util.LinkedHashMap;
import java.util.Map;

/** Which project of a programme something belongs to. A plan that is no programme has one part: all of it. */
public final class Parts {
    private final Part whole;
    private final Map<String, Part> byCode = new LinkedHashMap<>();

    private Parts(Plan plan) {
        Project project = plan.project();
        whole = new Part(
                "",
                project.name(),
                project.draws(),
                project.start(),
                project.dataDate(),
                project.calendar(),
                project.lagCalendar());
        plan.parts().forEach(part -> byCode.put(part.code(), part));
    }

    public static Parts of(Plan plan) {
        return new Parts(plan);
    }

    /** The part that something belongs to, by its id; all of it where it is of no project but of the programme itself. */
    public Part of(String id) {
        return byCode.isEmpty() ? whole : byCode.getOrDefault(Part.codeOf(id), whole);
    }

    /** By what the random numbers of prices of a category are drawn; in a programme its first level is the project. */
    public String identityOfCategory(String category) {
        String code = category.contains("/") ? category.substring(0, category.indexOf('/')) : category;
        Part part = byCode.getOrDefault(code, whole);
        if (part == whole) {
            return whole.draws() + category;
        }
        return part.draws() + (category.equals(code) ? "" : category.substring(code.length() + 1));
    }

    /** By what the random numbers of something are drawn, alone and in any programme. */
    public String identity(String id) {
        Part part = of(id);
        return part.draws() + (part == whole ? id : id.substring(part.prefix().length()));
    }
}
