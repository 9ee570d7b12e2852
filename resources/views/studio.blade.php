<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Gnomic</title>
    <link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 32 32'%3E%3Cpath d='M14 4v24H4z' fill='%230e6656'/%3E%3Cpath d='M14 28L28 17v11z' fill='%239aa39d'/%3E%3C/svg%3E">
    @vite('resources/studio/main.ts')
</head>
<body>
    <div id="studio"></div>
    <noscript><p>The studio needs scripts. The widgets on your pages do not.</p></noscript>
</body>
</html>
