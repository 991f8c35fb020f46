<#-- Every library with its licence, for the program and its package. -->
<#list dependencyMap as e>
<#assign project = e.getKey()/>
<#assign licenses = e.getValue()/>
${project.groupId} ${project.artifactId} ${project.version}: <#list licenses as l>${l}<#if l_has_next>; </#if></#list>
</#list>

Typefaces: B612, B612 Mono, Noto Sans, Nanum Square: SIL Open Font License 1.1. DejaVu Sans: Bitstream Vera licence. Droid Sans Fallback: Apache License 2.0. Their texts stand beside them.
Java runtime of the package: GPL 2 with the Classpath Exception; its texts lie in the runtime's folder legal.
