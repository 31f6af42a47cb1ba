package app.nosegay.bench;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.DoWhileLoopTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/** How long and how deep the methods of sources are, read by the compiler's own parser. */
final class MethodShapes extends TreePathScanner<Void, Void> {
    /**
     * A method.
     *
     * @param lines from its opening to its closing brace
     * @param depth of the statements in it that hold others; a lambda of several statements counts, an "else if" does not
     */
    record Shape(String file, String name, int lines, int parameters, int depth) {}

    private final CompilationUnitTree unit;
    private final SourcePositions positions;
    private final List<Shape> shapes;
    private int depth;
    private int deepest;

    private MethodShapes(CompilationUnitTree unit, SourcePositions positions, List<Shape> shapes) {
        this.unit = unit;
        this.positions = positions;
        this.shapes = shapes;
    }

    static Stream<Shape> of(List<Path> files) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<Shape> shapes = new ArrayList<>();
        try (StandardJavaFileManager sources = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null, sources, d -> {}, List.of("-proc:none"), null, sources.getJavaFileObjectsFromPaths(files));
            SourcePositions positions = Trees.instance(task).getSourcePositions();
            for (CompilationUnitTree unit : task.parse()) {
                new MethodShapes(unit, positions, shapes).scan(unit, null);
            }
        }
        return shapes.stream();
    }

    private long line(long position) {
        return unit.getLineMap().getLineNumber(position);
    }

    @Override
    public Void visitMethod(MethodTree method, Void none) {
        int outerDepth = depth;
        int outerDeepest = deepest;
        depth = 0;
        deepest = 0;
        super.visitMethod(method, none);
        if (method.getBody() != null) {
            long from = positions.getStartPosition(unit, method.getBody());
            long to = positions.getEndPosition(unit, method.getBody());
            String file = Path.of(unit.getSourceFile().getName()).getFileName().toString();
            boolean ofRecord = getCurrentPath().getParentPath().getLeaf().getKind() == Tree.Kind.RECORD
                    && method.getName().contentEquals("<init>");
            shapes.add(new Shape(
                    file,
                    method.getName().toString(),
                    (int) (line(to) - line(from) + 1),
                    ofRecord ? 0 : method.getParameters().size(),
                    deepest));
        }
        depth = outerDepth;
        deepest = outerDeepest;
        return null;
    }

    private Void deeper(Runnable inside) {
        depth++;
        deepest = Math.max(deepest, depth);
        inside.run();
        depth--;
        return null;
    }

    @Override
    public Void visitIf(IfTree tree, Void none) {
        boolean elseIf = getCurrentPath().getParentPath().getLeaf() instanceof IfTree before
                && before.getElseStatement() == tree;
        return elseIf ? super.visitIf(tree, none) : deeper(() -> super.visitIf(tree, none));
    }

    @Override
    public Void visitForLoop(ForLoopTree tree, Void none) {
        return deeper(() -> super.visitForLoop(tree, none));
    }

    @Override
    public Void visitEnhancedForLoop(EnhancedForLoopTree tree, Void none) {
        return deeper(() -> super.visitEnhancedForLoop(tree, none));
    }

    @Override
    public Void visitWhileLoop(WhileLoopTree tree, Void none) {
        return deeper(() -> super.visitWhileLoop(tree, none));
    }

    @Override
    public Void visitDoWhileLoop(DoWhileLoopTree tree, Void none) {
        return deeper(() -> super.visitDoWhileLoop(tree, none));
    }

    @Override
    public Void visitSwitch(SwitchTree tree, Void none) {
        return deeper(() -> super.visitSwitch(tree, none));
    }

    @Override
    public Void visitTry(TryTree tree, Void none) {
        return deeper(() -> super.visitTry(tree, none));
    }

    @Override
    public Void visitLambdaExpression(LambdaExpressionTree tree, Void none) {
        return tree.getBodyKind() == LambdaExpressionTree.BodyKind.STATEMENT
                ? deeper(() -> super.visitLambdaExpression(tree, none))
                : super.visitLambdaExpression(tree, none);
    }
}
