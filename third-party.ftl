# What Nosegay is built with

Made by the build from what is on the class path; a licence that is not on the list in `pom.xml` stops it. Fonts: Source Sans 3 and Young Serif under
the SIL Open Font License 1.1, their texts beside them in `nosegay-paint/src/main/resources/app/nosegay/paint/fonts`. The voice of the stand-in presenter
(MaryTTS and what it needs) is loaded apart: [THIRD-PARTY-VOICE.md](THIRD-PARTY-VOICE.md). The network that hears voices is that of Silero VAD (version 6,
MIT; text beside its numbers in `nosegay-core/src/main/resources/app/nosegay/evidence/sound`). The networks that find people and their joints are those of MediaPipe
Pose (0.5.1675469404, Apache-2.0; text beside them in `nosegay-sight/src/main/resources/app/nosegay/sight`).

| library | version | licence |
|---|---|---|
<#list dependencyMap as e>
<#assign p = e.getKey()/>
<#assign l = e.getValue()/>
| ${p.groupId}:${p.artifactId} | ${p.version} | <#list l as x>${x}<#if x_has_next>, </#if></#list> |
</#list>
