/** The rack: assemblies, faces and groups at the left, each with how far it has come. */
@org.jspecify.annotations.NullMarked
package bucina.desk.rack;
