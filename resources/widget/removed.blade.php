<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="robots" content="noindex">
<title>Nothing is shown here</title>
<link rel="icon" href="data:,">
</head>
<body>{!! $fragment !!}</body>
</html>
