/** The rack: assemblies, faces and groups at the left, each with how far it has come. */
package bucina.desk.rack;
