package bucina.speed;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.CatchTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * The figures of the house: sizes of files and methods, read with the compiler's own parser. Exits 1 where a bound is
 * broken.
 */
public final class HouseTable {

    private static final int FILE_MOST = 400;
    private static final int METHOD_MOST = 45;
    private static final int CHARACTERS_P90_MOST = 500;

    private final List<Integer> files = new ArrayList<>();
    private final List<Integer> methods = new ArrayList<>();
    private final List<Integer> characters = new ArrayList<>();
    private final List<Integer> widths = new ArrayList<>();
    private final List<Integer> complexities = new ArrayList<>();
    private final List<String> broken = new ArrayList<>();
    private int types;
    private int publicTypes;
    private int publicMethods;
    private int documented;

    private HouseTable() {}

    /** @param args roots to look for main sources under; none for this checkout */
    public static void main(String[] args) throws IOException {
        HouseTable table = new HouseTable();
        List<Path> sources = new ArrayList<>();
        for (String root : args.length == 0 ? new String[] {"."} : args) {
            found(root, sources);
        }
        Collections.sort(sources);
        table.read(sources);
        table.print();
        table.broken.forEach(System.out::println);
        System.exit(table.broken.isEmpty() ? 0 : 1);
    }

    private static void found(String root, List<Path> sources) throws IOException {
        try (Stream<Path> all = Files.walk(Path.of(root))) {
            all.filter(p -> p.toString().endsWith(".java"))
                    .filter(p -> p.toString().contains("src/main/java"))
                    .filter(p -> !p.endsWith("package-info.java"))
                    .forEach(sources::add);
        }
    }

    private void read(List<Path> sources) throws IOException {
        var compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
            Iterable<? extends JavaFileObject> units = manager.getJavaFileObjectsFromPaths(sources);
            JavacTask task = (JavacTask) compiler.getTask(null, manager, d -> {}, List.of("-proc:none"), null, units);
            DocTrees docs = DocTrees.instance(task);
            for (CompilationUnitTree unit : task.parse()) {
                new Reader(unit, docs).file();
            }
        }
    }

    private void print() {
        System.out.printf(
                Locale.ROOT,
                "code lines a file     median %d, p90 %d, most %d%n"
                        + "lines a method        median %d, p90 %d, most %d%n"
                        + "public top-level      %d %%%n"
                        + "public methods w. doc %d %%%n"
                        + "line width            p90 %d, p99 %d, most %d%n"
                        + "characters a method   median %d, p90 %d%n"
                        + "complexity            p99 %d, most %d%n",
                at(files, 50),
                at(files, 90),
                at(files, 100),
                at(methods, 50),
                at(methods, 90),
                at(methods, 100),
                100 * publicTypes / Math.max(1, types),
                100 * documented / Math.max(1, publicMethods),
                at(widths, 90),
                at(widths, 99),
                at(widths, 100),
                at(characters, 50),
                at(characters, 90),
                at(complexities, 99),
                at(complexities, 100));
        if (at(characters, 90) >= CHARACTERS_P90_MOST) {
            broken.add("p90 method has " + at(characters, 90) + " characters, under " + CHARACTERS_P90_MOST
                    + " is wanted");
        }
    }

    private static int at(List<Integer> values, int percent) {
        List<Integer> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? 0 : sorted.get(Math.min(sorted.size() - 1, sorted.size() * percent / 100));
    }

    /** Reads one file. */
    private final class Reader extends TreePathScanner<Void, Void> {

        private final CompilationUnitTree unit;
        private final DocTrees docs;
        private final String text;

        Reader(CompilationUnitTree unit, DocTrees docs) throws IOException {
            this.unit = unit;
            this.docs = docs;
            this.text = unit.getSourceFile().getCharContent(true).toString();
        }

        void file() {
            files.add(code(text));
            int lines = (int) text.lines().count();
            if (lines > FILE_MOST) {
                broken.add(unit.getSourceFile().getName() + " has " + lines + " lines, " + FILE_MOST + " at the most");
            }
            text.lines().filter(l -> !l.isBlank()).forEach(l -> widths.add(l.length()));
            for (Tree type : unit.getTypeDecls()) {
                if (type instanceof ClassTree c) {
                    types++;
                    publicTypes += c.getModifiers().getFlags().contains(Modifier.PUBLIC) ? 1 : 0;
                }
            }
            scan(unit, null);
        }

        @Override
        public Void visitMethod(MethodTree method, Void none) {
            long from = docs.getSourcePositions().getStartPosition(unit, method);
            long to = docs.getSourcePositions().getEndPosition(unit, method);
            if (method.getBody() != null && from >= 0 && to > from) {
                String source = text.substring((int) from, (int) to);
                int lines = (int) source.lines().filter(l -> !l.isBlank()).count();
                methods.add(lines);
                characters.add(source.replaceAll("\\s+", "").length());
                complexities.add(complexity(method));
                if (lines > METHOD_MOST) {
                    broken.add(unit.getSourceFile().getName() + ": " + method.getName() + " has " + lines + " lines, "
                            + METHOD_MOST + " at the most");
                }
            }
            if (method.getModifiers().getFlags().contains(Modifier.PUBLIC) && !overrides(method)) {
                publicMethods++;
                TreePath path = getCurrentPath();
                documented += docs.getDocCommentTree(path) != null || getterOfRecord(method) ? 1 : 0;
            }
            return super.visitMethod(method, none);
        }

        private boolean overrides(MethodTree method) {
            return method.getModifiers().getAnnotations().stream()
                    .anyMatch(a -> a.getAnnotationType().toString().equals("Override"));
        }

        /** A compact constructor is documented by its record. */
        private boolean getterOfRecord(MethodTree method) {
            return method.getName().contentEquals("<init>");
        }
    }

    private static int code(String text) {
        int count = 0;
        boolean comment = false;
        for (String line : text.lines().map(String::strip).toList()) {
            if (comment) {
                comment = !line.contains("*/");
            } else if (line.startsWith("/*")) {
                comment = !line.contains("*/");
            } else if (!line.isEmpty() && !line.startsWith("//")) {
                count++;
            }
        }
        return count;
    }

    private static int complexity(MethodTree method) {
        int[] count = {1};
        new TreeScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void none) {
                boolean branches = tree instanceof IfTree
                        || tree instanceof ForLoopTree
                        || tree instanceof EnhancedForLoopTree
                        || tree instanceof WhileLoopTree
                        || tree instanceof DoWhileLoopTree
                        || tree instanceof CatchTree
                        || tree instanceof ConditionalExpressionTree
                        || tree instanceof CaseTree c && !c.getLabels().isEmpty() && !isDefault(c)
                        || tree instanceof BinaryTree b
                                && (b.getKind() == Tree.Kind.CONDITIONAL_AND
                                        || b.getKind() == Tree.Kind.CONDITIONAL_OR);
                count[0] += branches ? 1 : 0;
                return tree instanceof ClassTree ? null : super.scan(tree, none);
            }
        }.scan(method.getBody(), null);
        return count[0];
    }

    private static boolean isDefault(CaseTree c) {
        return c.getLabels().getFirst().getKind() == Tree.Kind.DEFAULT_CASE_LABEL;
    }
}
